import { STEPS, type Lesson } from '@/api/types';
import { useRoutineName, useRules } from '@/rules/rules';
import { StepIcon } from '@/strip/glyphs';
import { STEP_WORDS } from '@/strip/words';
import { useNow } from '@/ui/useNow';
import { useWakeLock } from '../drive/useWakeLock';
import { droveTo, itemOf, nextOf, pressed, takenBack, type MockTest } from './mockTest';

interface Props {
    lesson: Lesson;
    test: MockTest;
    onChange: (test: MockTest) => void;
    onParked: () => void;
}

/** While it is driven: one key a step, pressed where it went wrong; where the drive is; and nothing to read. */
export function MockDriving({ lesson, test, onChange, onParked }: Props) {
    const name = useRoutineName();
    const { device_rule: rule } = useRules();
    const now = useNow();
    useWakeLock();
    const item = itemOf(lesson, test.ways.at(-1));
    const next = nextOf(lesson, test);
    const minutes = Math.max(0, Math.floor((now.getTime() - Date.parse(test.began_at)) / 60_000));
    const last = test.faults.at(-1);
    return (
        <section aria-label="Mock test, driving" className="bg-paper fixed inset-0 z-40 grid grid-rows-[auto_minmax(0,1fr)_auto] gap-3 p-3 sm:p-6">
            <div className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-3">
                <p className="min-w-0 leading-tight">
                    <span className="block truncate text-xl font-semibold">{item ? item.place.name : 'Anywhere'}</span>
                    <span className="text-quiet block truncate">
                        {minutes} min · {test.faults.length === 0 ? 'no fault' : test.faults.length === 1 ? '1 fault' : `${test.faults.length} faults`}
                        {item && ` · ${name(item.routine)}`}
                    </span>
                </p>
                {next && (
                    <button type="button" className="key min-h-[72px] max-w-[46vw] px-4" onClick={() => onChange(droveTo(test, next.id))}>
                        <span className="min-w-0 leading-tight">
                            <span className="block text-sm font-normal">{next.id === item?.id ? 'Once more' : 'On to'}</span>
                            <span className="line-clamp-2">{next.place.name}</span>
                        </span>
                    </button>
                )}
            </div>
            <div role="group" aria-label="A fault of" className="grid min-h-0 auto-rows-fr grid-cols-2 gap-3 lg:grid-cols-5">
                {STEPS.map((step) => (
                    <button
                        key={step}
                        type="button"
                        className={`key h-full min-h-0 flex-col text-2xl sm:text-3xl ${step === 'look' ? 'col-span-2 lg:col-span-1' : ''}`}
                        data-tone="moving"
                        onClick={() => onChange(pressed(test, step))}
                    >
                        <StepIcon step={step} size={64} />
                        {STEP_WORDS[step]}
                    </button>
                ))}
            </div>
            <div className="grid grid-cols-2 items-center gap-3 sm:grid-cols-[auto_minmax(0,1fr)_auto]">
                <button type="button" className="key min-h-[72px]" disabled={!last} onClick={() => onChange(takenBack(test))}>
                    {last ? `Not ${STEP_WORDS[last.step].toLowerCase()}` : 'Nothing to take back'}
                </button>
                <p className="text-quiet hidden text-sm sm:block" title={rule.source}>
                    For the supervising instructor, never the driver. {rule.text}
                </p>
                <button type="button" className="key min-h-[72px] px-8 text-xl" onClick={onParked}>
                    Parked
                </button>
            </div>
        </section>
    );
}
