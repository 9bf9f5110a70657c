import { useQuery } from '@tanstack/react-query';
import { useClock } from '@/session/session';
import { questions } from '@/api/questions';
import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { PAGES, type BenchTool } from '@/bench/pages';
import { AREAS } from '@/keys/areas';
import { leave, singleKeys, useSingleKeysOn } from '@/keys/keys';
import { useRoutineText, useRules } from '@/rules/rules';
import { inWords } from '@/rules/words';
import { Check } from '@/ui/Check';
import { isMeant } from '@/ui/search';

/** A line of the signpost: where it leads, and the words it is found by beside its own. */
interface Way {
    to: string;
    label: string;
    also?: string;
}

const SETTINGS: Way[] = [
    { to: '/account/rules', label: 'Rules and practice', also: 'settings teaching choices pack' },
    { to: '/account', label: 'Password, appearance, cars', also: 'settings theme night devices sign out' },
];

const ON_THE_PAGE: [string, string][] = [
    ['Week: ← → ↑ ↓', 'put the chosen lesson a quarter of an hour or a day on; Enter moves it, Escape leaves it'],
    ['Approach strip: ← →', 'walk from step to step'],
    ['Drive: ↑ ↓', 'choose a step'],
    ['Drive: 1 to 5', 'unaided, reminded, prompted, missed, I stepped in; then the next step'],
    ['Drive: a', 'all the rest without help'],
    ['Drive: o', 'wrong order'],
    ['Drive: h', 'correctly waited'],
    ['Drive: n', 'next attempt'],
    ['Drive: u', 'undo'],
    ['Drive: m', 'driving: one large key'],
];

/** Where to: the areas by their number, and whatever the school has by its words; what the keys of the pages do stands below. */
export function Signpost({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
    return (
        <Dialog.Root open={open} onOpenChange={onOpenChange}>
            <Dialog.Portal>
                <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
                <Dialog.Content
                    aria-describedby={undefined}
                    className="bg-paper border-ink fixed inset-y-0 left-0 z-50 flex w-full max-w-md flex-col gap-3 overflow-y-auto border-r-2 p-5 lg:left-[7.5rem]"
                >
                    <div className="flex items-center justify-between gap-4">
                        <Dialog.Title className="text-2xl">Where to?</Dialog.Title>
                        <Dialog.Close className="key" aria-label="Close">
                            ✕
                        </Dialog.Close>
                    </div>
                    {open && <Ways onGone={() => onOpenChange(false)} />}
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}

function Ways({ onGone }: { onGone: () => void }) {
    const navigate = useNavigate();
    const [typed, setTyped] = useState('');
    const clock = useClock();
    const rules = useRules();
    const text = useRoutineText();
    const learners = useQuery(questions.learners());
    const today = useQuery(questions.today(clock.iso(new Date())));
    const places = useQuery(questions.places());
    const go = (to: string) => {
        onGone();
        if (to !== window.location.pathname) leave();
        void navigate(to);
    };
    const groups: [string, Way[]][] = [
        ['Today’s lessons', (today.data?.lessons ?? []).map((one) => ({ to: `/lessons/${one.id}/plan`, label: `Lesson with ${one.learner.name}` }))],
        ['Learners', (learners.data ?? []).map((one) => ({ to: `/learners/${one.id}`, label: one.name }))],
        ['Places', (places.data ?? []).map((one) => ({ to: `/places?find=${encodeURIComponent(one.name)}`, label: one.name, also: one.note ?? '' }))],
        ['Routines', rules.routines.map((one) => ({ to: `/routines/${one.code}`, label: one.title, also: `routine ${one.section_title} ${text(one.code)}` }))],
        [
            'Bench',
            (Object.keys(PAGES) as BenchTool[]).map((tool) => ({
                to: `/bench/${tool}`,
                label: inWords(PAGES[tool].title, rules),
                also: inWords(`bench ${PAGES[tool].about}`, rules),
            })),
        ],
        ['Settings', SETTINGS],
    ];
    const row = 'data-[selected=true]:border-now flex min-h-12 cursor-pointer items-center gap-3 border-l-4 border-transparent px-3';
    return (
        <Command label="Where to" filter={(value, search) => Number(isMeant(value, search))} className="grid gap-2">
            <Command.Input
                autoFocus
                className="entry"
                aria-label="A number, or some words"
                placeholder="A number, or some words"
                value={typed}
                onValueChange={setTyped}
                onKeyDown={(event) => {
                    const area = typed === '' ? AREAS[Number(event.key) - 1] : undefined;
                    if (!area) return;
                    event.preventDefault();
                    go(area.to);
                }}
            />
            <Command.List>
                <Command.Empty className="text-quiet p-3">Nothing has all those words.</Command.Empty>
                <Command.Group heading="Areas">
                    {AREAS.map((area, i) => (
                        <Command.Item key={area.to} value={`area ${area.label}`} className={row} onSelect={() => go(area.to)}>
                            <b className="font-display w-6 text-lg">{i + 1}</b> {area.label}
                        </Command.Item>
                    ))}
                </Command.Group>
                {typed !== '' &&
                    groups.map(([heading, ways]) => (
                        <Command.Group key={heading} heading={heading}>
                            {ways.map((way) => (
                                <Command.Item
                                    key={`${way.to} ${way.label}`}
                                    value={`${way.label} ${way.also ?? ''} ${way.to}`}
                                    className={row}
                                    onSelect={() => go(way.to)}
                                >
                                    {way.label}
                                </Command.Item>
                            ))}
                        </Command.Group>
                    ))}
            </Command.List>
            {typed === '' && <OnThePage />}
        </Command>
    );
}

function OnThePage() {
    const on = useSingleKeysOn();
    return (
        <section aria-label="Shortcuts" className="grid gap-2 pt-2">
            <h3 className="border-hair border-b-2 pb-1 text-lg">Shortcuts</h3>
            <Check label="Single keys act on this device" checked={on} onChange={singleKeys.set} />
            <dl className="grid grid-cols-[8.5rem_1fr] gap-x-3 gap-y-1">
                <dt className="font-bold">Anywhere: .</dt>
                <dd>where to?</dd>
                {ON_THE_PAGE.map(([key, what]) => (
                    <div key={key} className="contents">
                        <dt className="font-bold">{key}</dt>
                        <dd>{what}</dd>
                    </div>
                ))}
            </dl>
        </section>
    );
}
