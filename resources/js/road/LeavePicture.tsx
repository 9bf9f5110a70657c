import { useSay } from '@/rules/rules';
import { readAt } from '@/ui/columns';
import { LANE, MainRoad, turned } from './MainRoad';
import { Body, Mark, RoadFrame, type RoadScale } from './RoadFrame';
import { SpeedBand } from './SpeedBand';
import type { LeaveAnswer } from '@/api/types';

interface Props {
    answer: LeaveAnswer;
    slip: number;
    keeps: 'left' | 'right';
    unit: 'm' | 'ft';
    /** Seconds to the beginning of the slip road; negative on it. */
    toGo: number;
    words: (speed: number) => string;
}

const HEIGHT = 290;
const BEFORE = 330;
const MAIN = { top: 110, bottom: 110 + 2 * LANE };
const SHORT: Record<string, string> = {
    signal: 'signal',
    cancel: 'cancel',
    brake: 'brake',
    bend: 'bend',
    'next-signal': 'signal',
    gear: 'gear',
    'lower-limit': 'limit',
};

/** The way off from above, with what is due where; the axis is metres to the beginning of the slip road. */
export function LeavePicture({ answer, slip, keeps, unit, toGo, words }: Props) {
    const say = useSay();
    const { profile } = answer;
    // Columns run down to the end of the slip: the place at this moment.
    const here = readAt(profile.time_s, profile.distance_m, toGo);
    const near = MAIN.top - LANE / 2;
    const y = turned(keeps);
    const slipY = (metres: number) =>
        metres >= 0
            ? near + LANE
            : metres > -30
              ? near + LANE + (LANE * metres) / 30
              : near - (near - 40) * Math.min(1, (-metres - 30) / Math.max(20, slip - 30));
    const marks = answer.events.filter((event) => SHORT[event.kind] && event.at_m <= BEFORE);
    return (
        <RoadFrame
            from={BEFORE}
            to={-slip - 15}
            height={HEIGHT}
            unit={unit}
            zero={say('{slip}')}
            label={`Leaving: ${Math.round(here)} m to ${say('the {slip road}')} at ${words(readAt(profile.distance_m, profile.speed_mps, here))}`}
        >
            {(scale) => (
                <>
                    <path d={surface(scale, slip, slipY, y)} fill="var(--road)" />
                    <MainRoad scale={scale} top={MAIN.top} y={y} />
                    {answer.events
                        .filter((event) => event.kind === 'marker')
                        .map((event) => (
                            <g key={event.text} transform={`translate(${scale.x(event.at_m)},${y(MAIN.top - 16)})`}>
                                <rect x={-9} y={-12} width={18} height={24} rx={2} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.5} />
                                {Array.from({ length: Number(event.text[0]) }, (_, i) => (
                                    <line key={i} x1={-5} x2={5} y1={6 - i * 5} y2={3 - i * 5} stroke="var(--ink)" strokeWidth={2} />
                                ))}
                            </g>
                        ))}
                    {marks.map((event, i) => (
                        <Mark
                            key={`${event.kind}${event.at_m}`}
                            x={scale.x(event.at_m)}
                            top={keeps === 'left' ? 6 + (i % 4) * 15 : 206 - (i % 4) * 15}
                            bottom={y(slipY(event.at_m))}
                            text={event.kind === 'gear' ? `gear ${event.gear}` : `${SHORT[event.kind]}${event.side ? ` ${event.side}` : ''}`}
                            strong={event.kind === 'brake'}
                            end={scale.x(event.at_m) > scale.width - 90}
                        />
                    ))}
                    <Body x={scale.x(here)} y={y(slipY(here))} long={Math.max(12, 4.2 * scale.perMetre)} ours />
                    <SpeedBand scale={scale} distances={profile.distance_m} speeds={profile.speed_mps} top={226} bottom={HEIGHT - 8} words={words} />
                    <line x1={scale.x(here)} x2={scale.x(here)} y1={212} y2={HEIGHT - 8} stroke="var(--now)" strokeWidth={1.5} strokeDasharray="2 4" />
                </>
            )}
        </RoadFrame>
    );
}

function surface(scale: RoadScale, slip: number, slipY: (metres: number) => number, y: (value: number) => number): string {
    const places = Array.from({ length: 24 }, (_, i) => -(i / 23) * (slip + 15));
    const edge = (by: number, order: number[]) => order.map((metres) => `${scale.x(metres).toFixed(1)},${y(slipY(metres) + by).toFixed(1)}`).join(' L');
    return `M${edge(-LANE / 2, places)} L${edge(LANE / 2, [...places].reverse())} Z`;
}
