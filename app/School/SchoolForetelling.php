<?php

namespace App\School;

use App\Marks\ToldLessons;
use App\Models\Learner;
use App\Models\SkillAnswer;
use App\Models\User;
use NobleTurn\Core\Skill\Calibration;
use NobleTurn\Core\Skill\Marking;
use NobleTurn\Core\Skill\Strictness;

/** How well the records of this school foretell, of whom they do not, and how strictly each instructor marks: as last found in the background. */
final class SchoolForetelling
{
    /** @return array<string, mixed> */
    public static function told(): array
    {
        $byLearner = ToldLessons::ofSchool();
        $school = Calibration::of(array_merge(...array_values($byLearner)));

        return [
            'learners' => count($byLearner), 'school' => $school === null ? null : self::calibration($school), 'doubted' => self::doubted($byLearner),
            'instructors' => self::instructors(),
        ];
    }

    /** @return array<string, mixed> */
    public static function calibration(Calibration $one): array
    {
        return [
            'lessons' => count($one->lessons), 'marks' => $one->marks, 'trust' => $one->trust()->value, 'message' => $one->message(),
            'loss' => round($one->loss, 4), 'expected' => round($one->expected, 4), 'counting' => round($one->counting, 4),
            'bins' => array_map(static fn (int $bin, array $of): array => [
                'from' => $bin / 10, 'until' => ($bin + 1) / 10, 'marks' => $of['marks'], 'foretold' => round($of['foretold'] / $of['marks'], 4),
                'unaided' => $of['unaided'],
            ], array_keys($one->bins), array_values($one->bins)),
        ];
    }

    /**
     * @param  array<string, list<\NobleTurn\Core\Skill\Foretold>>  $byLearner
     * @return list<array<string, mixed>> by name
     */
    private static function doubted(array $byLearner): array
    {
        $found = [];
        $names = Learner::query()->whereKey(array_keys($byLearner))->orderBy('name')->pluck('name', 'id');
        foreach ($names as $id => $name) {
            $calibration = Calibration::of($byLearner[$id]);
            if ($calibration !== null && $calibration->trust()->isDoubted()) {
                $found[] = [
                    'learner' => ['id' => $id, 'name' => $name], 'lessons' => count($calibration->lessons), 'marks' => $calibration->marks,
                    'message' => $calibration->message(),
                ];
            }
        }

        return $found;
    }

    /** @return list<array<string, mixed>> by name: it is no ranking */
    private static function instructors(): array
    {
        $there = Learner::query()->pluck('id')->flip();
        $strictness = Strictness::of(array_values(SkillAnswer::query()->orderBy('learner_id')->get(['learner_id', 'glance'])
            ->filter(static fn (SkillAnswer $answer): bool => $there->has($answer->learner_id) && isset($answer->glance['marking']))
            ->map(static fn (SkillAnswer $answer): Marking => Marking::fromArray($answer->glance['marking']))->all()));

        return array_values(User::query()->whereKey(array_keys($strictness))->orderBy('name')->orderBy('id')->get(['id', 'name'])
            ->map(static function (User $user) use ($strictness): array {
                $one = $strictness[$user->id];

                return [
                    'user' => $user->only(['id', 'name']), 'learners' => $one->learners, 'stricter' => round($one->estimate, 3), 'low' => round($one->low, 3),
                    'high' => round($one->high, 3), 'message' => $one->message(),
                ];
            })->all());
    }
}
