import type { SightAnswer } from '@/api/types';
import { Mark, RoadFrame } from '@/road/RoadFrame';
import { spoken } from '@/strip/words';

interface Props {
    answer: SightAnswer;
    unit: 'm' | 'ft';
    toGo: number;
}

const HEIGHT = 120;
const FOOT = 108;

/** What is seen at each metre of the way, against what stopping from the limit takes. */
export function SeenBand({ answer, unit, toGo }: Props) {
    const { distance_m: places, seen_m: column } = answer.profile;
    const needed = answer.purposes.find(({ purpose }) => purpose === 'stop')?.needed_m ?? null;
    const top = Math.max(needed ?? 0, (answer.seen_m ?? 100) * 2) * 1.15;
    const y = (seen: number) => FOOT - (Math.min(seen, top) / top) * (FOOT - 16);
    const [from, to] = [places[0]!, Math.min(places.at(-1)!, -1)];
    return (
        <RoadFrame from={from} to={to} height={HEIGHT} unit={unit} zero="it begins" label={`What is seen along the way: ${answer.message}`}>
            {({ x, width }) => {
                const points = places.map((place, i) => `${x(place).toFixed(1)},${y(column[i] ?? top).toFixed(1)}`);
                return (
                    <>
                        <path d={`M${x(from)},${FOOT} L${points.join(' L')} L${x(to)},${FOOT} Z`} fill="var(--now-fill)" opacity={0.35} />
                        <path d={`M${points.join(' L')}`} fill="none" stroke="var(--ink)" strokeWidth={3} strokeLinejoin="round" />
                        {needed !== null && (
                            <>
                                <line x1={0} x2={width} y1={y(needed)} y2={y(needed)} stroke="var(--now)" strokeWidth={2} strokeDasharray="6 4" />
                                <text x={8} y={y(needed) - 5} fontSize={13} fill="var(--ink)" stroke="var(--raised)" strokeWidth={4} paintOrder="stroke">
                                    to stop from the limit: {spoken(needed, unit)}
                                </text>
                            </>
                        )}
                        <Mark x={x(toGo)} top={2} bottom={FOOT} text="us" strong end={x(toGo) > width - 40} />
                    </>
                );
            }}
        </RoadFrame>
    );
}
