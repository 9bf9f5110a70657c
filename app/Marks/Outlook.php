<?php

namespace App\Marks;

use App\Models\AccompaniedDrive;
use App\Models\Assessment;
use App\Models\BusyTime;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\SkillAnswer;
use NobleTurn\Core\Diary\LessonState;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\HoldsBack;
use NobleTurn\Core\Skill\Standstill;

/**
 * How far somebody is from their test, and whether they gain: too long to work out while a page of the whole school waits, so it is kept
 * beside their record.
 */
final readonly class Outlook
{
    public function __construct(private LearnerSkill $skill, private LearnerReady $ready, private Basis $basis)
    {
    }

    /**
     * What an outlook is worked out from, as one hash: where any of it changes, the kept one is old.
     *
     * @param  ?list<string>  $ids  learners; null for all of the school
     * @param  ?array<string, string>  $marks  the hash of their marks, by learner, where it is known
     * @return array<string, string> by learner
     */
    public function basis(?array $ids, \DateTimeImmutable $now, ?array $marks = null): array
    {
        $within = static fn ($rows) => ($ids === null ? $rows : $rows->whereIn('learner_id', $ids))->toBase();
        $tests = $within(BusyTime::query()->where('kind', 'test')->where('starts_at', '>', $now)->orderBy('starts_at')->orderBy('id'))
            ->get(['learner_id', 'starts_at'])->groupBy('learner_id');
        $passed = $within(Assessment::query()->orderBy('id'))->get(['learner_id', 'kind', 'result', 'taken_at'])->groupBy('learner_id');
        $practice = $within(AccompaniedDrive::query())->groupBy('learner_id')
            ->selectRaw('learner_id, COUNT(*) AS drives, SUM(minutes) AS minutes, '.Basis::mixed('id').' AS mixed')->get()->keyBy('learner_id');
        // What is booked counts only where there is a test to be in time for.
        $booked = $within(Lesson::query()->where('state', LessonState::Booked->value)->where('starts_at', '>', $now)->whereIn('learner_id', $tests->keys()))
            ->orderBy('starts_at')->get(['learner_id', 'starts_at'])->groupBy('learner_id');
        $found = [];
        foreach ($marks ?? $this->basis->of($ids, $now) as $id => $of) {
            $found[$id] = hash('sha256', json_encode(
                [$of, $tests->get($id), $passed->get($id), $practice->get($id), $booked->get($id)], JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
            ));
        }

        return $found;
    }

    /** Works it out and keeps it, where what is kept is old. The learner's record is kept already. */
    public function keep(Learner $learner, \DateTimeImmutable $now): void
    {
        $standsFor = $this->basis([$learner->id], $now)[$learner->id] ?? null;
        $kept = SkillAnswer::query()->find($learner->id);
        if ($standsFor === null || $kept === null || $kept->outlook_for === $standsFor) {
            return;
        }
        $outlook = json_encode($this->of($learner, $now), JSON_THROW_ON_ERROR);
        SkillAnswer::query()->whereKey($learner->id)->update(['outlook' => $outlook, 'outlook_for' => $standsFor]);
    }

    /** @return array<string, mixed> */
    private function of(Learner $learner, \DateTimeImmutable $now): array
    {
        $ready = $this->ready->of($learner, saysWhatShortens: false);
        $pack = $this->skill->pack($learner);
        $evidence = SkillEvidence::of($learner, StandingMarks::of($learner), $pack);
        $fit = Fit::of($evidence, $pack, $now, overrulings: SkillEvidence::words($learner));
        $still = Standstill::of($evidence, HoldsBack::of($fit, $evidence), $pack);

        return [
            ...array_intersect_key($ready, ['verdict' => 0, 'lessons' => 0, 'most_lessons' => 0, 'in_time' => 0, 'lessons_by_test' => 0]),
            'chance' => $ready['chance']['estimate'] ?? null,
            'missing' => count($ready['missing']),
            'standstill' => $still === null ? null : [
                'gain' => round($still->gain, 3), 'lessons' => Standstill::LESSONS, 'steps' => $still->steps, 'marks' => $still->marks,
                'reason' => $still->reason->value, 'message' => $still->message,
            ],
        ];
    }
}
