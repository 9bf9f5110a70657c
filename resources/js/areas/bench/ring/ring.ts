/** A roundabout as it is drawn and asked about: arms by angle in driving order, lanes from 1 at the nearside. */
export interface DrawnLane {
    to: string[];
    bus?: boolean;
}
export interface DrawnArm {
    name: string;
    angle: number;
    lanes: DrawnLane[];
    exits: number;
}
export interface RingState {
    arms: DrawnArm[];
    from: string;
    to: string;
    next: '' | 'left' | 'right';
    passing: boolean;
    mini: boolean;
}

export interface LanesAnswer {
    approach_lane: number;
    exit_lane: number;
    cost: number;
    clock: string;
    path: { after: string; sector: number; lane: number; to_lane: number; action: 'keep' | 'move-out' | 'move-in' | 'leave'; mirrors: string[] }[];
    signals: { where: string; side: 'left' | 'right' | null; off: string }[];
    seconds_on_it: number;
    acceptable_lanes: { lane: number; exit_lane: number; cost: number; extra: number; why: string[] }[];
    reasons: string[];
    assumptions: import('@/api/types').Assumption[];
    warnings: { code: string; message: string }[];
}

export const START: RingState = {
    arms: [
        { name: 'Ferry Rise', angle: 0, lanes: [{ to: ['Gull Road', 'Skerry Way'] }, { to: ['Skerry Way', 'Mast Lane'] }], exits: 1 },
        { name: 'Gull Road', angle: 90, lanes: [{ to: [] }], exits: 1 },
        { name: 'Skerry Way', angle: 180, lanes: [{ to: [] }, { to: [] }], exits: 2 },
        { name: 'Mast Lane', angle: 270, lanes: [{ to: [] }], exits: 1 },
    ],
    from: 'Ferry Rise',
    to: 'Mast Lane',
    next: '',
    passing: false,
    mini: false,
};

export const asked = (state: RingState, pack: string) => ({
    pack,
    arms: state.arms.map((arm) => ({
        name: arm.name,
        angle_deg: arm.angle,
        approach_lanes: arm.lanes.map((lane) => (lane.bus ? { to: lane.to, bus: true } : { to: lane.to })),
        exit_lanes: arm.exits,
    })),
    from: state.from,
    to: state.to,
    ...(state.next ? { next_turn: state.next } : {}),
    ...(state.passing ? { passing: true } : {}),
    ...(state.mini ? { mini: true } : {}),
});

export const write = (state: RingState) => new URLSearchParams({ ring: JSON.stringify(state) });

/** What cannot be read is left at the start: an address typed by hand must not break the page. */
export function read(params: URLSearchParams): RingState {
    try {
        const said = JSON.parse(params.get('ring') ?? 'null') as Partial<RingState> | null;
        if (!said || !Array.isArray(said.arms) || said.arms.length < 2) return START;
        const arms = said.arms.filter(
            (arm) => typeof arm.name === 'string' && Number.isFinite(arm.angle) && Array.isArray(arm.lanes) && Number.isFinite(arm.exits),
        );
        const names = arms.map((arm) => arm.name);
        const known = (name: unknown, otherwise: string) => (typeof name === 'string' && names.includes(name) ? name : otherwise);
        return arms.length < 2 ? START : { ...START, ...said, arms, from: known(said.from, names[0]!), to: known(said.to, names[1]!) };
    } catch {
        return START;
    }
}

/** A name for one more arm that none has yet. */
export function freshName(arms: DrawnArm[]): string {
    let number = arms.length + 1;
    while (arms.some((arm) => arm.name === `Arm ${number}`)) number += 1;
    return `Arm ${number}`;
}

/** The middle of the widest gap between arms, where one more has most room. */
export function widestGap(arms: DrawnArm[]): number {
    const angles = arms.map((arm) => arm.angle).sort((one, other) => one - other);
    const gaps = angles.map((angle, i) => ({ angle, wide: (angles[(i + 1) % angles.length]! - angle + 360) % 360 || 360 }));
    const widest = gaps.reduce((best, gap) => (gap.wide > best.wide ? gap : best));
    return Math.round((widest.angle + widest.wide / 2) % 360);
}
