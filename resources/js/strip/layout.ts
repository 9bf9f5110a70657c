import type { AxisUnit, Drawable, StripStep } from './plan';
import { inUnit, wayIsKnown } from './words';
import { fromMps, saidSpeed, type SpeedUnit } from '@/rules/speed';
import { makeScale, ticks, secondTicks, type Scale } from './scale';
import { readAt } from '@/ui/columns';

/** Everything the strip draws, as numbers: no drawing in here, and nothing of the trade. */
export interface StripLayout {
    scale: Scale;
    height: number;
    seconds: { second: number; x: number }[];
    unit: AxisUnit;
    /** Round numbers of the axis's unit. */
    ticks: { at: number; x: number }[];
    rows: StepRow[];
    rule: { x: number; metres: number } | null;
    sayAt: { x: number; outside: boolean; metres: number };
    speed: {
        top: number;
        bottom: number;
        headY: number;
        line: string;
        hatches: { d: string; hard: number }[];
        labels: { x: number; y: number; text: string }[];
        /** How fast it is where the way of slowing changes; none in a small strip. */
        figures: { x: number; y: number; text: string }[];
    };
    gears: { x: number; width: number; gear: number }[];
    gearTop: number;
    road: Road;
    axisY: number;
}

export interface StepRow {
    step: StripStep;
    y: number;
    best: { x: number; metres: number };
    window: { x: number; width: number };
    label: { x: number; anchor: 'start' | 'end' };
}

export interface Road {
    top: number;
    bottom: number;
    /** Screen y of a lateral place, metres from the nearside kerb. */
    y: (lateral: number) => number;
    nearIsTop: boolean;
    path: string;
    lineX: number;
    pixelsPerMetre: number;
}

export const ROW = 31;
const TOP = 26;
const GLYPH = 18;
/** Width of a letter of the line that says how the way is known. */
const LETTER = 6.7;

export interface LayoutOptions {
    width: number;
    /** Metres shown; the plan decides when left out. */
    from?: number;
    compact?: boolean;
    /** In which the curve carries its speeds; none where left out. */
    speedUnit?: SpeedUnit;
}

/** How far back a plan wants to be seen: to its mirrors and a little more. */
export function wantedFrom(plan: Drawable): number {
    const mirrors = plan.steps[0]!.best;
    return plan.axis === 'time' ? Math.ceil(mirrors + 1) : Math.max(20, Math.ceil((mirrors * 1.12) / 10) * 10);
}

export function layOut(plan: Drawable, { width, from, compact = false, speedUnit }: LayoutOptions): StripLayout {
    const shown = from ?? wantedFrom(plan);
    const scale = scaleOf(plan, width, shown, compact ? 56 : 92);
    const rowsBottom = TOP + plan.steps.length * ROW;
    const speedTop = rowsBottom + (compact ? 4 : 24);
    const speedBottom = speedTop + (compact ? 36 : 66);
    const gearTop = speedBottom + 3;
    const across = Math.min(Math.max(scale.pixelsPerMetre, compact ? 5 : 8), compact ? 6 : 11);
    const road = layRoad(plan, scale, gearTop + (plan.steps[0]!.gear === null ? 12 : 32), across);
    const axisY = road.bottom + 26;
    return {
        scale,
        height: axisY + 16,
        seconds: secondTicks(plan.profile.along, plan.profile.time_s, scale, 24),
        unit: plan.unit,
        ticks: ticks(shown, width < 500 ? 6 : 12, 1 / inUnit(1, plan.unit)).map((tick) => ({ at: tick.at, x: scale.x(tick.metres) })),
        rows: plan.steps.map((step, i) => layRow(step, scale, TOP + 4 + i * ROW + ROW / 2)),
        rule:
            plan.ruleAt === null || plan.ruleAt > shown || !plan.steps.some((step) => step.step === 'signal')
                ? null
                : { x: scale.x(plan.ruleAt), metres: plan.ruleAt },
        sayAt: sayAt(plan, scale, shown),
        speed: laySpeed(plan, scale, speedTop, speedBottom, compact, speedUnit),
        gears: layGears(plan, scale),
        gearTop,
        road,
        axisY,
    };
}

/** The scale of a plan's road: metres beyond the line as there is something to show there, a roundabout in full. */
export function scaleOf(plan: Drawable, width: number, shown: number, round: number): Scale {
    const beyond = plan.place.island ? round : 22;
    return makeScale(width, shown, Math.max(plan.axis === 'time' ? 1 : 6, (shown * beyond) / Math.max(width - beyond - 8, 200)), 4);
}

/** Where the way has to be known: where it is said, or where the sign must begin to be read. */
function sayAt(plan: Drawable, scale: Scale, shown: number): StripLayout['sayAt'] {
    const at = plan.sign?.in_time ? plan.sign.by_m : plan.saidBy;
    return { x: scale.x(Math.min(at, shown)), outside: at > shown, metres: plan.saidBy };
}

function layRow(step: Drawable['steps'][number], scale: Scale, y: number): StepRow {
    const clip = (metres: number) => Math.min(scale.from, metres);
    const x = scale.x(clip(step.earliest));
    const end = scale.x(clip(step.latest));
    const best = scale.x(clip(step.best));
    const start = Math.min(x, best - GLYPH);
    const stop = Math.max(end, best + GLYPH);
    // Name and figure stand before the window where there is room for them, otherwise after it.
    const before = start > 140;
    return {
        step: step.step,
        y,
        best: { x: best, metres: step.best },
        window: { x, width: Math.max(3, end - x) },
        label: before ? { x: start - 8, anchor: 'end' } : { x: stop + 8, anchor: 'start' },
    };
}

function laySpeed(plan: Drawable, scale: Scale, top: number, bottom: number, compact: boolean, speedUnit?: SpeedUnit): StripLayout['speed'] {
    const { along: distances, speed_mps: speeds } = plan.profile;
    const fastest = Math.max(...speeds, 0.1);
    const y = (speed: number) => bottom - (speed / fastest) * (bottom - top);
    const at = (metres: number) => `${scale.x(metres).toFixed(1)},${y(readAt(distances, speeds, metres)).toFixed(1)}`;
    const within = [scale.from, ...distances.filter((metres) => metres < scale.from)];
    const hatches = plan.phases
        .filter((phase) => phase.brake && phase.from_m > phase.to_m)
        .map((phase) => {
            const from = Math.min(phase.from_m, scale.from);
            const points = [from, ...distances.filter((metres) => metres < from && metres > phase.to_m), phase.to_m].map(at);
            return { d: `M${scale.x(from).toFixed(1)},${bottom} L${points.join(' L')} L${scale.x(phase.to_m).toFixed(1)},${bottom} Z`, hard: phase.decel_mps2 };
        });
    const words: Record<string, string> = { 'easing-off': 'easing off', gentle: 'gentle', firm: 'firm', crawl: 'walking pace', holding: 'hold' };
    // The line that says how the way is known begins at the left, where the speed is still even.
    const said = sayAt(plan, scale, scale.from);
    let free = (said.outside ? 36 : said.x) + 20 + wayIsKnown(plan, plan.saidBy).length * LETTER;
    const labels = compact
        ? []
        : plan.phases.flatMap((phase) => {
              const text = words[phase.phase];
              const middle = (Math.min(phase.from_m, scale.from) + phase.to_m) / 2;
              const wanted = scale.x(phase.phase === 'easing-off' ? Math.min(phase.from_m, scale.from) : middle);
              const x = Math.min(wanted, scale.width - (text?.length ?? 0) * LETTER);
              if (!text || x < free) return [];
              free = x + text.length * 8 + 10;
              const above = phase.phase === 'easing-off' ? Math.min(phase.from_m, scale.from) : middle;
              return [{ x, y: Math.min(y(readAt(distances, speeds, above)) - 8, bottom - 6), text }];
          });
    const headY = y(readAt(distances, speeds, scale.from));
    const figures = compact || !speedUnit || plan.axis === 'time' ? [] : layFigures(plan, scale, y, bottom, speedUnit);
    return { top, bottom, headY, line: `M${within.map(at).join(' L')}`, hatches, labels, figures };
}

/** Under the curve, where the way of slowing changes, as far as there is room between the curve and its foot. */
function layFigures(plan: Drawable, scale: Scale, y: (speed: number) => number, bottom: number, unit: SpeedUnit): StripLayout['speed']['figures'] {
    const { along, speed_mps: speeds } = plan.profile;
    const changes = plan.phases.flatMap((phase) => (phase.from_m < scale.from ? [phase.from_m] : []));
    let free = 0;
    let last = '';
    return [scale.from, ...changes].flatMap((metres, i) => {
        const speed = readAt(along, speeds, metres);
        const figure = String(Math.round(fromMps(speed, unit)));
        const text = i === 0 ? saidSpeed(fromMps(speed, unit), unit) : figure;
        // The first stands clear of the grip.
        const [x, foot] = [scale.x(metres) + (i === 0 ? 30 : 3), y(speed) + 17];
        if (x < free || figure === last || foot > bottom - 2 || x + text.length * LETTER > scale.x(0)) return [];
        free = x + text.length * LETTER + 14;
        last = figure;
        return [{ x, y: foot, text }];
    });
}

function layGears(plan: Drawable, scale: Scale): StripLayout['gears'] {
    const { along: distances, gear } = plan.profile;
    const blocks: StripLayout['gears'] = [];
    let start = scale.from;
    for (let i = 1; i < distances.length; i++) {
        const last = i === distances.length - 1;
        const before = gear[i - 1];
        if (before == null || (!last && gear[i] === before)) continue;
        const end = Math.min(distances[i]!, scale.from);
        if (end < start) blocks.push({ x: scale.x(start), width: Math.max(0, scale.x(end) - scale.x(start) - 2), gear: before });
        start = end;
    }
    return blocks;
}

/** The road from above along a scale, its upper edge at `top`, each metre of its width that many pixels. */
export function layRoad(plan: Drawable, scale: Scale, top: number, pixelsPerMetre: number): Road {
    const { road_width_m: width, keeps } = plan.place;
    const bottom = top + width * pixelsPerMetre;
    // We drive to the right: our left hand is up. Keeping left, the kerb we count from is the upper one.
    const nearIsTop = keeps === 'left';
    const y = (lateral: number) => (nearIsTop ? top + lateral * pixelsPerMetre : bottom - lateral * pixelsPerMetre);
    const { along: distances, lateral_m: laterals } = plan.profile;
    const within = [scale.from, ...distances.filter((metres) => metres < scale.from)];
    const path = `M${within.map((metres) => `${scale.x(metres).toFixed(1)},${y(readAt(distances, laterals, metres)).toFixed(1)}`).join(' L')}`;
    return { top, bottom, y, nearIsTop, path, lineX: scale.x(0), pixelsPerMetre };
}

/** What a figure beside a pin takes, px. */
const BESIDE = 88;

/** On which side of a pin its figure hides no other pin: right where it can, left where only that is free. */
export function freeSide(x: number, pins: readonly number[], width: number): 'left' | 'right' {
    const isFree = (from: number, to: number) => from >= 0 && to <= width && !pins.some((pin) => pin !== x && pin + 16 > from && pin - 16 < to);
    return !isFree(x + 16, x + BESIDE) && isFree(x - BESIDE, x - 16) ? 'left' : x + BESIDE > width ? 'left' : 'right';
}
