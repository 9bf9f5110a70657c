<?php

namespace Database\Seeders;

use App\Models\Assessment;
use App\Models\Centre;
use App\Models\Learner;
use App\Models\Lesson;

/** Tests and mock tests behind the demo’s learners, made up: those with most lessons have driven most of them. */
final class DemoTests
{
    private const SERIOUS = ['step' => 'look', 'routine' => 'emerge-right', 'fault' => 'goes-unsafe', 'effect' => 'affected'];

    private const LATE = ['step' => 'mirrors', 'routine' => 'turn-left', 'fault' => 'late', 'effect' => 'nobody'];

    public static function fill(): void
    {
        $centre = Centre::query()->orderBy('name')->first();
        $done = Lesson::query()->where('state', 'done')->get(['learner_id'])->countBy('learner_id')->sortDesc()->keys();
        $learners = $done->map(static fn (string $id): ?Learner => Learner::query()->whereNull('pack')->find($id))->filter()->values();
        $driven = static function (int $n, int $daysAgo, string $kind, string $result, array $faults, ?string $note = null) use ($learners, $centre): void {
            $learner = $learners->get($n);
            if ($learner instanceof Learner) {
                Assessment::query()->create([
                    'learner_id' => $learner->id, 'kind' => $kind, 'taken_at' => now()->subDays($daysAgo)->setTime(10, 0), 'scheme' => 'gb-car',
                    'result' => $result, 'faults' => $faults, 'note' => $note, 'centre_id' => $kind === 'test' ? $centre?->id : null,
                ]);
            }
        };
        $driven(0, 40, 'mock-test', 'fail', [self::SERIOUS, self::LATE, self::LATE], 'Nervous at first, steady at the end.');
        $driven(0, 12, 'mock-test', 'pass', [self::LATE, self::LATE]);
        $driven(0, 5, 'test', 'fail', [self::SERIOUS, self::LATE], 'Went before a car on the roundabout.');
        $driven(1, 20, 'mock-test', 'fail', [self::SERIOUS]);
        $driven(2, 33, 'mock-test', 'pass', [self::LATE]);
        $driven(2, 8, 'test', 'pass', [self::LATE, ['step' => 'position', 'routine' => 'roundabout', 'fault' => null, 'effect' => 'nobody']]);
    }
}
