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
        self::whoMovedOn($centre);
        $driven(0, 40, 'mock-test', 'fail', [self::SERIOUS, self::LATE, self::LATE], 'Nervous at first, steady at the end.');
        $driven(0, 12, 'mock-test', 'pass', [self::LATE, self::LATE]);
        $driven(0, 5, 'test', 'fail', [self::SERIOUS, self::LATE], 'Went before a car on the roundabout.');
        $driven(1, 20, 'mock-test', 'fail', [self::SERIOUS]);
        $driven(2, 33, 'mock-test', 'pass', [self::LATE]);
        $driven(2, 8, 'test', 'pass', [self::LATE, ['step' => 'position', 'routine' => 'roundabout', 'fault' => null, 'effect' => 'nobody']]);
    }

    /** Learners of the last year whose tests are behind them, and what had been expected of each: enough for a centre to have a past. */
    private static function whoMovedOn(?Centre $centre): void
    {
        $round = ['step' => 'look', 'routine' => 'roundabout', 'fault' => 'goes-unsafe', 'effect' => 'affected'];
        $cut = ['step' => 'position', 'routine' => 'turn-right', 'fault' => 'cut', 'effect' => 'affected'];
        $tests = [
            ['Ottoline Marchbank', 0.91, 'pass', []], ['Cassius Okafor', 0.84, 'pass', [self::LATE]], ['Brida Hollis', 0.42, 'fail', [self::SERIOUS]],
            ['Jory Penberth', 0.77, 'pass', [self::LATE]], ['Amarante Sool', 0.63, 'fail', [$round, self::LATE]], ['Leif Dunmore', 0.88, 'pass', []],
            ['Tamsin Rook', 0.35, 'fail', [self::SERIOUS, $cut]], ['Idris Vane', 0.71, 'fail', [$round]], ['Petronel Ash', 0.81, 'pass', []],
            ['Corin Blackwater', 0.58, 'pass', [self::LATE, self::LATE]], ['Sabeth Moorcroft', 0.79, 'fail', [self::SERIOUS]],
            ['Wystan Greave', 0.24, 'fail', [$cut]], ['Nerys Callow', 0.86, 'pass', []], ['Hale Farrow', 0.52, 'fail', [self::SERIOUS, self::LATE]],
            ['Quilla Strand', 0.93, 'pass', [self::LATE]], ['Emrys Tolland', 0.67, 'pass', []],
        ];
        foreach ($tests as $i => [$name, $chance, $result, $faults]) {
            $learner = Learner::query()->create(['name' => $name, 'level' => 'independent', 'transmission' => $i % 4 === 0 ? 'automatic' : 'manual']);
            Assessment::query()->create([
                'learner_id' => $learner->id, 'kind' => 'test', 'taken_at' => now()->subDays(30 + 19 * $i)->setTime(9 + $i % 4, 12), 'scheme' => 'gb-car',
                'result' => $result, 'faults' => $faults, 'chance' => $chance, 'centre_id' => $centre?->id,
            ]);
            $learner->delete();
        }
    }
}
