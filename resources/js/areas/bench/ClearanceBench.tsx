import type { ClearanceAnswer, ClearanceAsked } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import { Field } from '@/ui/Field';
import { BenchPage } from './BenchPage';
import { usePage } from './useBench';

const VERDICTS = { passes: 'It passes', 'within-the-margin': 'Too close: within the margin', 'does-not-pass': 'It does not pass' };

/** A height as typed: metres, or feet and inches. */
const height = (name: string, text: string) => (/['’]|ft/.test(text) ? { [`${name}_ft_in`]: text } : { [`${name}_m`]: Number(text.replace(',', '.')) });

/** Is it too high for the bridge? */
export function ClearanceBench() {
    const { state, set } = usePage('clearance');
    const inputs: ClearanceAsked = {
        ...height('vehicle_height', state.vehicle),
        ...height('sign_height', state.sign),
        ...(state.load ? { load_height_m: Number(state.load.replace(',', '.')) } : {}),
        margin_m: Number(state.margin.replace(',', '.')),
    };
    const { data, error } = useCompute('clearance', inputs);
    const entry = (label: string, field: keyof typeof state, hint: string) => (
        <Field label={label} hint={hint}>
            <input value={state[field]} maxLength={12} onChange={(event) => set({ [field]: event.target.value })} />
        </Field>
    );
    return (
        <BenchPage
            verdict={
                data?.clearance_m == null
                    ? undefined
                    : {
                          head: VERDICTS[data.verdict],
                          says: `${Math.abs(data.clearance_m).toFixed(3)} m (${data.clearance_ft_in.replace('-', '')}) ${data.clearance_m < 0 ? 'missing' : 'to spare'}`,
                      }
            }
            asked={{ tool: 'clearance', inputs }}
            answer={data}
            error={error}
            controls={
                <div className="grid w-full gap-4 sm:grid-cols-2 lg:grid-cols-4">
                    {entry('Vehicle', 'vehicle', 'Metres, or feet and inches: 13\'1"')}
                    {entry('Load, if higher, m', 'load', 'From the ground to its top')}
                    {entry('Sign', 'sign', 'As it is printed')}
                    {entry('Margin, m', 'margin', 'Assumed 0.075, or the company’s')}
                </div>
            }
        >
            {data?.clearance_m != null && (
                <div className="grid items-center gap-6 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
                    <BridgePicture clearance={data.clearance_m} verdict={data.verdict} />
                    <div className="grid gap-2">
                        <p className="text-quiet">
                            The vehicle with its load stands {data.vehicle_height_ft_in}. Know it before setting off; read early, turn off in time.
                        </p>
                    </div>
                </div>
            )}
        </BenchPage>
    );
}

/** Beam and box; the gap between them is drawn much larger than the rest, and no larger than the picture, so that centimetres are seen. */
function BridgePicture({ clearance, verdict }: { clearance: number; verdict: ClearanceAnswer['verdict'] }) {
    const gap = Math.max(-60, Math.min(110, clearance * 150));
    const beam = 110;
    const top = beam + gap;
    return (
        <svg viewBox="0 0 420 300" className="bg-raised border-hair w-full rounded-xl border-2" role="img" aria-label={VERDICTS[verdict]}>
            <rect x={0} y={270} width={420} height={30} fill="var(--road)" />
            <rect x={0} y={60} width={420} height={beam - 60} fill="var(--wash)" stroke="var(--ink)" strokeWidth={3} />
            <rect x={10} y={beam} width={26} height={160} fill="var(--wash)" stroke="var(--ink)" strokeWidth={3} />
            <rect x={384} y={beam} width={26} height={160} fill="var(--wash)" stroke="var(--ink)" strokeWidth={3} />
            <rect x={120} y={top} width={180} height={256 - top} rx={6} fill="var(--paper)" stroke="var(--ink)" strokeWidth={4} />
            <rect x={136} y={256} width={34} height={16} rx={4} fill="var(--ink)" />
            <rect x={250} y={256} width={34} height={16} rx={4} fill="var(--ink)" />
            <line x1={210} x2={210} y1={Math.min(beam, top)} y2={Math.max(beam, top)} stroke="var(--now)" strokeWidth={6} />
            <line x1={80} x2={340} y1={beam} y2={beam} stroke="var(--now)" strokeWidth={2} strokeDasharray="6 5" />
            <text x={210} y={92} textAnchor="middle" fontSize={18} fill="var(--ink)">
                sign
            </text>
        </svg>
    );
}
