import { useState } from 'react';
import { api, at, Problem } from '@/api/client';
import type { Answered } from '@/api/client';
import type { DiaryLesson } from '@/api/types';
import type { Addresses } from '@/diary/AddressFields';
import { useReread } from '@/diary/useBooked';
import { momentOf, wallClock } from '@/diary/wallClock';
import { useClock, useSession } from '@/session/session';
import { useNotice } from '@/ui/Notice';

type Changes = Partial<Pick<Answered<'/lessons/{lesson}', 'get'>, 'starts_at' | 'minutes' | 'state'>> & {
    ended_by?: 'learner' | 'instructor' | 'other';
    ended_why?: string;
    charged?: boolean;
    cut_to_minutes?: number;
} & Partial<DiaryLesson['own_places']>;

/** A chosen lesson, and when it would be instead: by the clock of the school, `2026-05-20T10:30`. */
export interface Proposed {
    lesson: DiaryLesson;
    at: string | null;
}

/** What is done in a diary: a lesson chosen, put somewhere else, cancelled and taken back; each said, each undone by one press. */
export function useDiary() {
    const { school } = useSession();
    const clock = useClock();
    const reread = useReread();
    const notice = useNotice();
    const [proposed, setProposed] = useState<Proposed | null>(null);
    const [refused, setRefused] = useState<string | null>(null);
    const write = async (lesson: string, body: Changes) => {
        await api.PATCH('/lessons/{lesson}', { ...at({ lesson }), body });
        await reread();
    };
    const choose = (lesson: DiaryLesson | null) => {
        setRefused(null);
        setProposed(lesson && { lesson, at: null });
    };
    const propose = (lesson: DiaryLesson, to: (now: string) => string) => {
        setRefused(null);
        setProposed((before) => {
            const is = wallClock(new Date(lesson.starts_at), school.time_zone);
            const next = to(before?.lesson.id === lesson.id && before.at ? before.at : is);
            return { lesson, at: next === is ? null : next };
        });
    };
    /** Does what was asked, says so, and offers the way back; what is refused stays as it was, with the reason. */
    const settle = async (lesson: DiaryLesson, body: Changes, said: string, back: Changes): Promise<boolean> => {
        try {
            await write(lesson.id, body);
        } catch (error) {
            if (!(error instanceof Problem)) throw error;
            setRefused(Object.values(error.errors).flat().join(' ') || error.message);
            return false;
        }
        choose(null);
        notice({ text: said, undo: () => void write(lesson.id, back) });
        return true;
    };
    const move = (lesson: DiaryLesson, to: string, minutes = lesson.minutes) => {
        const starts = momentOf(to, school.time_zone).toISOString();
        return settle(
            lesson,
            { starts_at: starts, ...(minutes === lesson.minutes ? {} : { minutes }) },
            `${lesson.learner.name}: ${clock.day(starts)}, ${clock.time(starts)}`,
            { starts_at: lesson.starts_at, minutes: lesson.minutes },
        );
    };
    const become = (lesson: DiaryLesson, body: Changes, said: string) => settle(lesson, body, `${lesson.learner.name}: ${said}`, backTo(lesson));
    const meet = (lesson: DiaryLesson, is: Addresses) => {
        const changes = addresses(is, lesson.own_places);
        const back = Object.fromEntries(Object.keys(changes).map((name) => [name, lesson.own_places[name as keyof DiaryLesson['own_places']]]));
        return settle(lesson, changes, `${lesson.learner.name}: ${is.pick_up ? `met at ${is.pick_up}` : 'met as usual'}`, back);
    };
    return { proposed, refused, choose, propose, move, become, meet };
}

/** Addresses that are others than before; where one of them lies, nobody has said then. */
function addresses(is: Addresses, was: DiaryLesson['own_places']): Partial<DiaryLesson['own_places']> {
    return {
        ...(is.pick_up === (was.pick_up ?? '') ? {} : { pick_up: is.pick_up || null, pick_up_latitude_deg: null, pick_up_longitude_deg: null }),
        ...(is.drop_off === (was.drop_off ?? '') ? {} : { drop_off: is.drop_off || null, drop_off_latitude_deg: null, drop_off_longitude_deg: null }),
    };
}

/** What makes a lesson again what it was. */
function backTo(lesson: DiaryLesson): Changes {
    const { state, ended } = lesson;
    if (state === 'cut-short') return { state, cut_to_minutes: lesson.lasts_minutes };
    if (state !== 'cancelled') return { state };
    return {
        state,
        ended_by: ended?.by ?? 'other',
        ...(ended?.why ? { ended_why: ended.why } : {}),
        ...(ended?.charged === null ? {} : { charged: ended?.charged }),
    };
}

export type Diary = ReturnType<typeof useDiary>;
