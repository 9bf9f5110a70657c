import { useNavigate } from 'react-router';
import { useSay } from '@/rules/rules';
import { isMet } from './draft';
import type { Mark } from './circuit';
import { town, type Placed } from './map';
import { MapFrame, type Drawn } from './MapFrame';
import { Name, namesOn } from './Names';

/**
 * The school's sites where they lie, north up: no tiles, no network. Opens on the town; what lies far away is a press off. The mark that is looked
 * from is named, whatever is beside it.
 */
export function SitesMap({ sites, marks, from, address }: { sites: Placed[]; marks: Mark[]; from: string; address: (site: Placed) => string }) {
    const say = useSay();
    const seen = ({ at, width, height }: Drawn) =>
        sites.filter((site) => {
            const [x, y] = at(site);
            return x >= 0 && x <= width && y >= 0 && y <= height;
        });
    return (
        <MapFrame
            label="Map of the sites, north up: arrows move it, plus and minus zoom"
            home={town([...sites, ...marks])}
            all={[...sites, ...marks]}
            beside={(drawn) => {
                const outside = sites.length - seen(drawn).length;
                return (
                    <p className="text-quiet text-sm">
                        {say('Squares are {junctions}, circles roundabouts, diamonds roads and {kerb}s; filled: used in a lesson.')}
                        {marks.some(({ kind }) => kind === 'school') && ' A house: the school.'}
                        {marks.some(({ kind }) => kind === 'pick-up') && ' A flag: a pick-up.'}
                        {marks.some(({ kind }) => kind === 'centre') && ' A shield: a test centre.'}
                        {outside > 0 && ` Outside what is shown: ${outside}.`}
                    </p>
                );
            }}
        >
            {(drawn) => <OnTheMap {...{ drawn, marks, from, address }} sites={seen(drawn)} />}
        </MapFrame>
    );
}

interface On {
    drawn: Drawn;
    sites: Placed[];
    marks: Mark[];
    from: string;
    address: (site: Placed) => string;
}

function OnTheMap({ drawn, sites, marks, from, address }: On) {
    const go = useNavigate();
    // Where one is picked up is said before what is only passed.
    const names = namesOn(drawn, [...marks.map((mark) => ({ ...mark, used: Infinity })), ...sites]);
    const named = (id: string, name: string, at: [number, number]) =>
        (names.has(id) || id === from) && (
            <Name at={at} side={names.get(id) ?? 'right'} strong={id === from}>
                {name}
            </Name>
        );
    return (
        <>
            {sites.map((site) => {
                const [x, y] = drawn.at(site);
                return (
                    <a
                        key={site.id}
                        href={address(site)}
                        aria-label={site.name}
                        className="cursor-pointer"
                        onClick={(event) => {
                            event.preventDefault();
                            void go(address(site));
                        }}
                    >
                        <circle cx={x} cy={y} r={16} fill="transparent" />
                        <Dot kind={site.kind} used={site.used > 0} x={x} y={y} />
                        {named(site.id, site.name, [x, y])}
                    </a>
                );
            })}
            {marks.map((mark) => {
                const [x, y] = drawn.at(mark);
                return (
                    <g key={mark.id} role="img" aria-label={`${MARK_WORDS[mark.kind]}: ${mark.name}`}>
                        <path d={MARK_SHAPES[mark.kind](x, y)} fill="var(--now-fill)" stroke="var(--ink)" strokeWidth={2} strokeLinejoin="round" />
                        {named(mark.id, mark.name, [x, y])}
                    </g>
                );
            })}
        </>
    );
}

const MARK_WORDS: Record<Mark['kind'], string> = { school: 'The school', 'pick-up': 'Pick-up', centre: 'Test centre' };

/** A house; a flag, whose foot is where one is picked up; a shield. */
const MARK_SHAPES: Record<Mark['kind'], (x: number, y: number) => string> = {
    school: (x, y) => `M${x - 8},${y + 7} V${y - 1} L${x},${y - 9} L${x + 8},${y - 1} V${y + 7} Z`,
    'pick-up': (x, y) => `M${x},${y} V${y - 16} L${x + 11},${y - 11.5} L${x},${y - 7}`,
    centre: (x, y) => `M${x - 8},${y - 8} H${x + 8} V${y} Q${x + 8},${y + 6} ${x},${y + 10} Q${x - 8},${y + 6} ${x - 8},${y} Z`,
};

/** A site as a mark: what it is by its shape, whether it was used by its filling. */
function Dot({ kind, used, x, y }: { kind: Placed['kind']; used: boolean; x: number; y: number }) {
    const drawn = { fill: used ? 'var(--ink)' : 'var(--paper)', stroke: 'var(--ink)', strokeWidth: 2 };
    if (kind === 'junction') return <rect x={x - 5} y={y - 5} width={10} height={10} {...drawn} />;
    if (isMet(kind)) return <circle cx={x} cy={y} r={5.5} {...drawn} />;
    return <path d={`M${x},${y - 7} L${x + 7},${y} L${x},${y + 7} L${x - 7},${y} Z`} {...drawn} />;
}
