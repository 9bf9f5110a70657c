import { useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { useSay } from '@/rules/rules';
import { useWidth } from '@/strip/useWidth';
import { isMet } from './draft';
import { labelled, moved, scaleLength, showing, spot, town, type Placed, type Shown } from './map';

const HEIGHT = 320;
const ZOOM = 1.6;
const STEP = 0.2;

/** The school's sites where they lie, north up: no tiles, no network. Opens on the town; what lies far away is a press off. */
export function SitesMap({ sites, address }: { sites: Placed[]; address: (site: Placed) => string }) {
    const frame = useRef<HTMLDivElement>(null);
    const width = useWidth(frame);
    const go = useNavigate();
    const say = useSay();
    const [moves, setMoves] = useState<Shown | null>(null);
    const [held, setHeld] = useState<{ x: number; y: number } | null>(null);
    const tall = width > 0 ? HEIGHT / width : 0.4;
    const together = town(sites);
    const shown = moves ?? showing(together, tall);
    const zoom = (by: number) => setMoves({ ...shown, wide_m: Math.min(20_000_000, Math.max(50, shown.wide_m * by)) });
    const spots = sites
        .map((site) => ({ site, at: spot(site, shown, width, HEIGHT) }))
        .filter(({ at: [x, y] }) => x >= 0 && x <= width && y >= 0 && y <= HEIGHT);
    const names = labelled(
        spots.map(({ site: { id, name, used }, at: [x, y] }) => ({ id, name, used, x, y })),
        width,
        7.5,
        16,
    );
    const key = (event: KeyboardEvent) => {
        const by = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, STEP], ArrowDown: [0, -STEP] }[event.key];
        if (by) setMoves(moved(shown, by[0]!, by[1]! * tall));
        else if (event.key === '+' || event.key === '=') zoom(1 / ZOOM);
        else if (event.key === '-') zoom(ZOOM);
        else return;
        event.preventDefault();
    };
    const scale = scaleLength(shown.wide_m);
    return (
        <div className="grid gap-2">
            <div ref={frame} className="bg-raised border-hair w-full min-w-0 overflow-hidden rounded-xl border-2">
                {width > 0 && (
                    <svg
                        width={width}
                        height={HEIGHT}
                        className="block cursor-move touch-pan-y select-none"
                        role="group"
                        tabIndex={0}
                        aria-label="Map of the sites, north up: arrows move it, plus and minus zoom"
                        onKeyDown={key}
                        onPointerDown={(event) => setHeld({ x: event.clientX, y: event.clientY })}
                        onPointerMove={(event) => {
                            if (!held || event.buttons === 0) return;
                            setMoves(moved(shown, (held.x - event.clientX) / width, (event.clientY - held.y) / width));
                            setHeld({ x: event.clientX, y: event.clientY });
                        }}
                        onPointerUp={() => setHeld(null)}
                    >
                        {spots.map(({ site, at: [x, y] }) => (
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
                                {names.has(site.id) && (
                                    <text
                                        x={names.get(site.id) === 'left' ? x - 10 : x + 10}
                                        textAnchor={names.get(site.id) === 'left' ? 'end' : 'start'}
                                        y={y + 4.5}
                                        fontSize={13}
                                        fill="var(--ink)"
                                        stroke="var(--raised)"
                                        strokeWidth={4}
                                        paintOrder="stroke"
                                    >
                                        {site.name}
                                    </text>
                                )}
                            </a>
                        ))}
                        <g aria-hidden="true" transform={`translate(12,${HEIGHT - 12})`}>
                            <path d={`M0,-6 V0 H${((scale / shown.wide_m) * width).toFixed(1)} V-6`} fill="none" stroke="var(--ink)" strokeWidth={2} />
                            <text x={4} y={-8} fontSize={13} fill="var(--ink)" stroke="var(--raised)" strokeWidth={4} paintOrder="stroke">
                                {scale >= 1000 ? `${scale / 1000} km` : `${scale} m`}
                            </text>
                        </g>
                    </svg>
                )}
            </div>
            <div className="screen-only flex flex-wrap items-center gap-2">
                <button type="button" className="key !px-4 text-xl" aria-label="Zoom in" onClick={() => zoom(1 / ZOOM)}>
                    +
                </button>
                <button type="button" className="key !px-4 text-xl" aria-label="Zoom out" onClick={() => zoom(ZOOM)}>
                    −
                </button>
                <button type="button" className="key" onClick={() => setMoves(showing(sites, tall))}>
                    Show all
                </button>
                {together.length < sites.length && (
                    <button type="button" className="key" onClick={() => setMoves(null)}>
                        The town
                    </button>
                )}
                <p className="text-quiet text-sm">
                    {say('Squares are {junctions}, circles roundabouts, diamonds roads and {kerb}s; filled: used in a lesson.')}
                    {spots.length < sites.length && ` Outside what is shown: ${sites.length - spots.length}.`}
                </p>
            </div>
        </div>
    );
}

/** A site as a mark: what it is by its shape, whether it was used by its filling. */
function Dot({ kind, used, x, y }: { kind: Placed['kind']; used: boolean; x: number; y: number }) {
    const drawn = { fill: used ? 'var(--ink)' : 'var(--paper)', stroke: 'var(--ink)', strokeWidth: 2 };
    if (kind === 'junction') return <rect x={x - 5} y={y - 5} width={10} height={10} {...drawn} />;
    if (isMet(kind)) return <circle cx={x} cy={y} r={5.5} {...drawn} />;
    return <path d={`M${x},${y - 7} L${x + 7},${y} L${x},${y + 7} L${x - 7},${y} Z`} {...drawn} />;
}
