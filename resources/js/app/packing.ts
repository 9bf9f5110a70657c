import { hashKey, type QueryClient, type QueryKey } from '@tanstack/react-query';
import { Problem } from '@/api/client';
import { heard } from '@/api/heard';
import { questions, type Question } from '@/api/questions';
import type { ApproachAsked, SignedIn } from '@/api/types';
import { onwardOf, stopOf } from '@/areas/lesson/onward/onward';
import { placeQuestions } from '@/areas/lesson/placeQuestions';
import { A_WEEK, mondayOf, moved } from '@/diary/week';
import { lastAnswers } from '@/copies/here';
import { packed } from '@/copies/packed';
import { rowsAsked } from '@/seat/inARow';
import { rowsOf, withDirections, type SeatAnswer } from '@/seat/rows';
import { isoDay } from '@/session/session';
import { marksOf } from '@/site/circuit';
import { siteAsked, wayOf } from '@/site/wayOf';

/** What was answered this recently is not fetched once more, ms (assumed: a day's plan seldom changes while one drives). */
const FRESH = 10 * 60_000;

/** A picture never changes: once here it stays, ms. */
const FOR_GOOD = 365 * 24 * 3_600_000;

/** Between two questions, ms: whoever works meanwhile comes first (assumed). */
const PAUSE = 50;

/**
 * Fetches ahead what a day without signal needs: this week and the next, today's and tomorrow's lessons with the plan of every place, the
 * learners' records, the cards, the places with the pictures shown at the kerb. One question after the other, so that whoever works meanwhile does not wait; what fails is left for the next time, and says that not all is here yet.
 */
export async function pack(client: QueryClient, { school, rules }: SignedIn, now = Date.now()): Promise<void> {
    const known = await lastAnswers.times();
    const missing: QueryKey[] = [];
    const isFresh = (key: QueryKey, fresh: number) => (known.get(hashKey(key)) ?? 0) > now - fresh;
    const ask = async <T>(question: { queryKey: QueryKey; queryFn: () => Promise<T> }, fresh = FRESH): Promise<T | null> => {
        if (isFresh(question.queryKey, fresh)) return (await lastAnswers.recall<T>(question.queryKey)) ?? null;
        if (!heard.reached.get()) {
            missing.push(question.queryKey);
            return null;
        }
        await new Promise((done) => setTimeout(done, PAUSE));
        const said = await client.query({ ...question, staleTime: 0, retry: false }).catch((error: unknown) => {
            // Enough for now: a school of many devices behind one address has only so many questions a second.
            if (error instanceof Problem && error.status === 429) throw error;
            // What the server refuses it refuses with signal, too: nothing is missing by that.
            if (!(error instanceof Problem) || error.isOutOfReach || error.status >= 500) missing.push(question.queryKey);
            return null;
        });
        if (said !== null) known.set(hashKey(question.queryKey), Date.now());
        return said;
    };
    const days = await Promise.all([now, now + 24 * 3_600_000].map((moment) => ask(questions.today(isoDay(new Date(moment), school.time_zone)), 0)));
    const shared: Question[] = [
        ...[questions.places(), questions.cars(), questions.vehicleKinds(), questions.rulesOnOffer(), questions.circuits()],
        questions.texts(),
        questions.cards(rules.pack, rules.practice),
    ];
    for (const question of shared) await ask(question);
    const monday = mondayOf(isoDay(new Date(now), school.time_zone));
    for (const from of [monday, moved(`${monday}T12:00`, 0, A_WEEK).slice(0, 10)]) await ask(questions.week({ from }));
    const sites = (await ask(questions.sites())) ?? undefined;
    const marks = marksOf(school, (await ask(questions.centres())) ?? undefined, (await ask(questions.learners())) ?? undefined);
    const measured = (await ask(questions.legs()))?.measured;
    for (const line of days.flatMap((day) => day?.lessons ?? [])) {
        const lesson = await ask(questions.lesson(line.id));
        if (!lesson) continue;
        const { learner } = lesson;
        const ofLesson: Question[] = [
            ...lesson.items.flatMap((item) => placeQuestions(item, lesson.rules)),
            ...[questions.cards(lesson.rules.pack, rules.practice), questions.changed(lesson.id)],
            ...[questions.learner(learner.id), questions.skill(learner.id), questions.habits(learner.id), questions.needs(learner.id)],
        ];
        for (const question of ofLesson) await ask(question);
        for (const { place } of lesson.items) {
            // Which lane, and whose turn: the drawing has to be here first.
            const drawing = place.site_id === null ? undefined : await ask(questions.site(place.site_id));
            const way = drawing && wayOf((await ask(questions.tool('site', siteAsked(drawing)))) ?? undefined, place);
            if (way?.lanes) await ask(questions.tool('lanes', way.lanes));
            if (way?.turn) await ask(questions.tool('priority', way.turn));
            if (way?.lights) await ask(questions.tool('lights', way.lights));
        }
        const { asked } = onwardOf(lesson, { sites, marks, measured, zone: school.time_zone });
        if (asked) {
            const stops = lesson.items.map(stopOf);
            const answers: SeatAnswer[] = [];
            for (const { plan } of lesson.items) answers.push({ data: (await ask(questions.tool(plan.tool, plan.inputs as ApproachAsked))) ?? undefined });
            const cards = (await ask(questions.cards(lesson.rules.pack, rules.practice))) ?? undefined;
            // What the plan shows of the drives, and what Drive and the sheet say of the way on.
            await ask(questions.tool('circuit', asked));
            const told = await ask(questions.tool('circuit', withDirections(asked, rowsOf(stops, answers, cards, lesson.rules.length_unit))));
            for (const row of rowsAsked(stops, told?.parts ?? [], rules.routines)) await ask(questions.tool('series', row.asked));
        }
        for (const { place } of lesson.items) {
            const hung = place.site_id === null ? null : await ask(questions.pictures(place.site_id));
            for (const { id, arm } of hung ?? []) if (arm === place.from_arm) await ask(questions.picture(id), FOR_GOOD);
        }
    }
    await lastAnswers.tidy();
    if (missing.length === 0) packed.set(now);
}
