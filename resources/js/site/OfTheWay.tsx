import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { Place } from '@/api/types';
import { NotShown } from '@/ui/NotShown';
import { siteAsked, wayOf, type OfASite } from './wayOf';
import { WayLane, WayLights, WayTurn } from './WaySays';

/** What the drawing of a site says of the way a place is: which lane, whose turn it is, and how one waits inside lights. Nothing for a place that is described by itself. */
export const OfTheWay = ({ place }: { place: Place }) => (place.site_id === null ? null : <Drawn place={place} site={place.site_id} />);

function Drawn({ place, site }: { place: OfASite; site: string }) {
    const drawing = useQuery(questions.site(site));
    const answer = useQuery({ ...questions.tool('site', siteAsked(drawing.data ?? NONE)), enabled: drawing.data !== undefined });
    const error = drawing.error ?? answer.error;
    if (error) {
        return <NotShown what="What its drawing says is not shown" error={error} retry={() => void (drawing.error ? drawing.refetch() : answer.refetch())} />;
    }
    const way = wayOf(answer.data, place);
    return (
        <>
            {way?.lanes && <WayLane asked={way.lanes} />}
            {way?.turn && <WayTurn asked={way.turn} />}
            {way?.lights && <WayLights asked={way.lights} />}
        </>
    );
}

const NONE = { pack: 'gb', kind: 'junction', arms: [] } as const;
