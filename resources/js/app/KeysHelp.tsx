import { Sheet } from '@/ui/Sheet';

const KEYS: [string, [string, string][]][] = [
    [
        'Everywhere',
        [
            ['?', 'this list'],
            ['Ctrl K', 'find a learner, lesson or page'],
            ['g then t, l, p, r, b, s, a', 'Today, Learners, Places, Routines, Bench, School, Account'],
        ],
    ],
    ['Approach strip', [['← →', 'walk from step to step']]],
    [
        'Drive',
        [
            ['↑ ↓', 'choose a step'],
            ['1 to 5', 'unaided, reminded, prompted, missed, stepped in; then the next step'],
            ['a', 'all the rest unaided'],
            ['o', 'out of order'],
            ['h', 'held back rightly'],
            ['n', 'round again'],
            ['u', 'undo'],
            ['m', 'the car moves: one large key'],
        ],
    ],
];

export function KeysHelp({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
    return (
        <Sheet title="Keys" open={open} onOpenChange={onOpenChange}>
            {KEYS.map(([area, keys]) => (
                <section key={area} className="grid gap-2">
                    <h3 className="text-lg">{area}</h3>
                    <dl className="grid grid-cols-[9rem_1fr] gap-x-4 gap-y-1">
                        {keys.map(([key, what]) => (
                            <div key={key} className="contents">
                                <dt className="font-bold">{key}</dt>
                                <dd>{what}</dd>
                            </div>
                        ))}
                    </dl>
                </section>
            ))}
        </Sheet>
    );
}
