import type { ReactNode } from 'react';
import { Across, Car, Dash, HALF, Lamp, Line, MID, OURS, OUT, Person, Road, Round, Straight, THEIRS, Us, Way, through } from './parts';

/** A kind of place, told whether the way goes to the kerb's side, across, or neither. */
export type Drawing = (near: boolean | null) => ReactNode;

export const FORMS: Record<string, Drawing> = {
    road: () => <Straight />,
    'side-road': (near) => {
        const way: { d: string; end: [number, number, number] } = near
            ? { d: `M${OURS},150 V112 Q${OURS},92 64,92 H16`, end: [14, 92, -90] }
            : { d: `M${OURS},150 C${OURS},130 ${MID - 6},132 ${MID - 6},112 V88 Q${MID - 4},72 132,72 H184`, end: [186, 72, 90] };
        return (
            <>
                <Road />
                <rect x={near ? 0 : MID + HALF} y={52} width={MID - HALF} height={60} fill="var(--road)" />
                <Dash d={`M${MID},0 V200`} />
                <Line d={near ? `M${MID - HALF},54 V82` : `M${MID + HALF},82 V110`} dashed />
                {!near && <Car x={THEIRS} y={24} turned={180} />}
                <Us />
                <Way {...way} />
            </>
        );
    },
    't-junction': (near) => (
        <>
            <Road upTo={70} />
            <Across />
            <Dash d={`M0,70 H200 M${MID},104 V200`} />
            <Line d={`M${MID - HALF},104 H${MID}`} dashed />
            <Us />
            <Way {...through(near)} />
        </>
    ),
    crossroads: (near) => (
        <>
            <Road />
            <Across />
            <Dash d={`M0,70 H${MID - HALF} M${MID + HALF},70 H200 M${MID},104 V200 M${MID},36 V0`} />
            <Line d={`M${MID - HALF},104 H${MID}`} />
            <Us />
            <Way {...through(near)} />
        </>
    ),
    lights: (near) => (
        <>
            {FORMS.crossroads!(near)}
            <Lamp x={MID - HALF - 12} y={122} />
            <Lamp x={MID + HALF + 12} y={22} />
        </>
    ),
    roundabout: (near) => <Round near={near} island={28} />,
    mini: (near) => <Round near={near} island={12} />,
    lanes: (near) => (
        <>
            <rect x={40} y={0} width={120} height={200} fill="var(--road)" />
            <Dash d="M80,0 V200 M120,0 V200" />
            <Car x={near ? 60 : 140} y={178} />
            <Car x={100} y={158} ours />
            <Way d={near ? 'M100,136 V120 C100,90 60,92 60,60 V20' : 'M100,136 V120 C100,90 140,92 140,60 V20'} end={[near ? 60 : 140, 18, 0]} />
        </>
    ),
    'lane-ends': () => (
        <>
            <path d="M40,200 V110 L80,50 V0 H140 V200 Z" fill="var(--road)" />
            <Dash d="M90,200 V80" />
            <Car x={115} y={120} />
            <Car x={65} y={170} ours />
            <Way d="M65,148 V120 C65,84 112,92 112,50 V20" end={[112, 18, 0]} />
        </>
    ),
    'slip-on': () => (
        <>
            <rect x={80} y={0} width={90} height={200} fill="var(--road)" />
            <path d="M8,200 L64,90 V30 L80,10 V110 L52,200 Z" fill="var(--road)" />
            <Dash d="M125,0 V200" />
            <Line d="M80,110 V190" />
            <Line d="M80,20 V110" dashed />
            <Car x={102} y={150} />
            <Car x={38} y={172} turned={26} ours />
            <Way d="M48,150 L66,112 C70,100 70,80 76,62 C88,44 102,50 102,20" end={[102, 18, 0]} />
        </>
    ),
    'slip-off': () => (
        <>
            <rect x={80} y={0} width={90} height={200} fill="var(--road)" />
            <path d="M80,190 L64,150 V110 L10,0 H54 L80,70 Z" fill="var(--road)" />
            <Dash d="M125,0 V200" />
            <Line d="M80,90 V180" dashed />
            <Car x={102} y={172} ours />
            <Way d="M102,150 C102,130 74,132 70,108 L34,24" end={[33, 20, -26]} />
        </>
    ),
    parked: () => (
        <Straight way={OUT} end={[OURS, 14, 0]}>
            <Car x={MID - HALF + 9} y={98} />
            <Car x={MID - HALF + 9} y={58} />
        </Straight>
    ),
    narrow: () => (
        <>
            <rect x={66} y={0} width={68} height={200} fill="var(--road)" />
            {[58, 98].map((y) => (
                <Car key={y} x={124} y={y} />
            ))}
            <Car x={76} y={40} />
            <Car x={92} y={14} turned={180} />
            <Us x={94} />
            <Way d="M94,150 C94,132 78,134 78,112 V100" end={[78, 96, 0]} />
        </>
    ),
    bus: () => (
        <Straight way={OUT} end={[OURS, 14, 0]}>
            <Car x={MID - HALF + 11} y={78} long={66} />
            <Person x={48} y={50} />
        </Straight>
    ),
    crossing: () => (
        <Straight>
            {[0, 1, 2, 3, 4, 5].map((i) => (
                <rect key={i} x={MID - HALF + 3 + i * 10.5} y={70} width={6} height={26} fill="var(--paper)" />
            ))}
            <Person x={52} y={84} />
            <Person x={150} y={84} />
        </Straight>
    ),
    hump: () => (
        <Straight>
            <rect x={MID - HALF} y={78} width={HALF * 2} height={16} fill="var(--line)" />
            <path d={`M${MID - HALF + 6},94 l8,-14 l8,14 M${MID + 10},94 l8,-14 l8,14`} stroke="var(--paper)" strokeWidth={3} fill="none" />
        </Straight>
    ),
    kerb: (near) =>
        near === false ? (
            <Straight way={`M${MID - HALF + 10},126 C${MID - HALF + 10},96 ${OURS + 6},100 ${OURS + 6},66 V18`} end={[OURS + 6, 16, 0]}>
                <Car x={MID - HALF + 10} y={148} />
            </Straight>
        ) : (
            <Straight way={`M${OURS},150 C${OURS},116 ${MID - HALF + 10},112 ${MID - HALF + 10},78`} end={[MID - HALF + 10, 74, 0]} />
        ),
    'far-kerb': () => (
        <Straight way={`M${OURS},150 C${OURS},104 ${MID + HALF - 10},116 ${MID + HALF - 10},60`} end={[MID + HALF - 10, 56, 0]}>
            <Dash d={`M${MID + HALF - 4},64 V120`} />
        </Straight>
    ),
    queue: () => (
        <Straight way={`M${OURS},150 V112`} end={[OURS, 110, 0]}>
            <Car x={OURS} y={82} />
            <Car x={OURS} y={40} />
        </Straight>
    ),
    bay: () => (
        <>
            <rect x={0} y={90} width={200} height={70} fill="var(--road)" />
            {[30, 70, 110, 150].map((x) => (
                <Line key={x} d={`M${x},30 V90`} />
            ))}
            <Car x={50} y={58} />
            <Car x={130} y={58} />
            <Car x={160} y={124} turned={-90} ours />
            <Way d="M138,124 H112 Q90,122 90,92 V60" end={[90, 56, 0]} />
        </>
    ),
    ramp: () => (
        <>
            <path d="M70,200 L80,20 H126 L136,200 Z" fill="var(--road)" />
            <Line d="M70,96 H128" />
            <rect x={52} y={92} width={16} height={26} rx={3} fill="var(--line)" stroke="var(--ink)" />
            <path d="M96,60 l8,-12 l8,12 M96,40 l8,-12 l8,12" stroke="var(--paper)" strokeWidth={3} fill="none" />
            <Car x={102} y={132} ours />
        </>
    ),
    slow: () => (
        <Straight way={`M${OURS},150 V140 C${OURS},120 ${THEIRS},124 ${THEIRS},100 V64 C${THEIRS},40 ${OURS},46 ${OURS},20`} end={[OURS, 16, 0]}>
            <Car x={OURS} y={86} long={44} />
        </Straight>
    ),
    'centre-lane': () => (
        <>
            <rect x={40} y={0} width={120} height={200} fill="var(--road)" />
            <rect x={160} y={44} width={40} height={44} fill="var(--road)" />
            <Dash d="M80,0 V200 M120,0 V200" />
            <Car x={140} y={18} turned={180} />
            <Us x={60} />
            <Way d="M60,150 C60,124 100,132 100,104 V84 Q102,66 130,66 H184" end={[186, 66, 90]} />
        </>
    ),
    rail: () => (
        <Straight>
            <path d="M0,70 H200 M0,92 H200" stroke="var(--ink)" strokeWidth={3} />
            {Array.from({ length: 13 }, (_, i) => (
                <line key={i} x1={6 + i * 16} x2={6 + i * 16} y1={64} y2={98} stroke="var(--line)" strokeWidth={4} />
            ))}
            <Line d={`M${MID - HALF},118 H${MID}`} />
            <Lamp x={MID - HALF - 12} y={124} />
        </Straight>
    ),
    alley: () => (
        <>
            <Across y={40} />
            <rect x={0} y={76} width={200} height={16} fill="var(--hair)" />
            <rect x={84} y={72} width={36} height={128} fill="var(--road)" />
            <rect x={30} y={94} width={52} height={106} fill="var(--line)" />
            <rect x={122} y={94} width={52} height={106} fill="var(--line)" />
            <Person x={60} y={84} />
            <Us x={102} />
            <Way d="M102,150 V106" end={[102, 104, 0]} />
        </>
    ),
    bridge: () => (
        <Straight>
            <rect x={30} y={64} width={140} height={34} fill="var(--line)" stroke="var(--ink)" strokeWidth={2} />
            <path d="M100,68 V94 M93,75 L100,68 L107,75 M93,87 L100,94 L107,87" stroke="var(--paper)" strokeWidth={3} fill="none" />
        </Straight>
    ),
    car: () => (
        <g>
            <rect x={62} y={20} width={76} height={160} rx={22} fill="var(--paper)" stroke="var(--ink)" strokeWidth={4} />
            <path d="M74,66 H126 L120,90 H80 Z M80,140 H120 L126,158 H74 Z" fill="var(--wash)" stroke="var(--ink)" strokeWidth={3} />
            <circle cx={84} cy={106} r={11} fill="none" stroke="var(--now)" strokeWidth={5} />
            <path d="M62,78 l-12,4 v10 M138,78 l12,4 v10" stroke="var(--ink)" strokeWidth={4} fill="none" />
        </g>
    ),
};
