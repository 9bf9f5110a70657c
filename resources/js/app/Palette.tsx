import { useQuery } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useNavigate } from 'react-router';
import { api } from '@/api/client';
import { AREAS } from '@/keys/areas';
import { useRules } from '@/rules/rules';

/** Finds learners, today's lessons and pages by a few letters. */
export function Palette({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
    const navigate = useNavigate();
    const { routines } = useRules();
    const learners = useQuery({ queryKey: ['learners'], queryFn: () => api.GET('/learners'), enabled: open });
    const today = useQuery({ queryKey: ['today'], queryFn: () => api.GET('/today'), enabled: open });
    const go = (to: string) => {
        onOpenChange(false);
        void navigate(to);
    };
    const item = 'data-[selected=true]:bg-ink data-[selected=true]:text-paper flex min-h-12 cursor-pointer items-center rounded-lg px-3';
    return (
        <Dialog.Root open={open} onOpenChange={onOpenChange}>
            <Dialog.Portal>
                <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
                <Dialog.Content aria-describedby={undefined} className="bg-paper fixed inset-x-4 top-[12vh] z-50 mx-auto max-w-xl rounded-2xl p-3 shadow-2xl">
                    <Dialog.Title className="sr-only">Find</Dialog.Title>
                    <Command label="Find">
                        <Command.Input className="entry" placeholder="A learner, a lesson, a page" />
                        <Command.List className="mt-2 max-h-[50vh] overflow-y-auto">
                            <Command.Empty className="text-quiet p-3">Nothing by that name.</Command.Empty>
                            <Command.Group heading="Pages">
                                {AREAS.map((area) => (
                                    <Command.Item key={area.to} className={item} onSelect={() => go(area.to)}>
                                        {area.label}
                                    </Command.Item>
                                ))}
                            </Command.Group>
                            <Command.Group heading="Routines">
                                {routines.map((routine) => (
                                    <Command.Item
                                        key={routine.code}
                                        value={`routine ${routine.title}`}
                                        className={item}
                                        onSelect={() => go(`/routines/${routine.code}`)}
                                    >
                                        {routine.title}
                                    </Command.Item>
                                ))}
                            </Command.Group>
                            <Command.Group heading="Today’s lessons">
                                {today.data?.lessons.map((lesson) => (
                                    <Command.Item
                                        key={lesson.id}
                                        value={`lesson ${lesson.learner.name} ${lesson.id}`}
                                        className={item}
                                        onSelect={() => go(`/lessons/${lesson.id}/plan`)}
                                    >
                                        Lesson with {lesson.learner.name}
                                    </Command.Item>
                                ))}
                            </Command.Group>
                            <Command.Group heading="Learners">
                                {learners.data?.map((learner) => (
                                    <Command.Item
                                        key={learner.id}
                                        value={`${learner.name} ${learner.id}`}
                                        className={item}
                                        onSelect={() => go(`/learners/${learner.id}`)}
                                    >
                                        {learner.name}
                                    </Command.Item>
                                ))}
                            </Command.Group>
                        </Command.List>
                    </Command>
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}
