<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Sentences;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;
use Random\Engine\Mt19937;
use Random\Randomizer;

/*
 * Records as they come: from nobody's first lesson to sixty lessons, driven well, badly and by a coin, with pauses, conditions, places and markers or
 * none, and lessons of any length at any hour. Whatever is asked of them is answered, in sentences; nothing is out of time or beyond 0 to 1.
 */

/** @return list<array<string, mixed>> marks of some lessons before a day */
function drawnRecord(Randomizer $chance, string $pack, DateTimeImmutable $today): array
{
    $one = static fn (array $of): mixed => $of[$chance->getInt(0, count($of) - 1)];
    $routines = array_map(static fn (Routine $routine): string => $routine->code->value, Catalogue::all(RulePacks::byCode($pack)));
    $known = array_slice($chance->shuffleArray($routines), 0, $chance->getInt(1, 14));
    $how = $one([['unaided'], ['unaided', 'unaided', 'reminded'], ['intervened', 'missed'], array_column(Outcome::cases(), 'value'), ['prompted']]);
    $at = $today->modify("-{$chance->getInt(1, 900)} days");
    $marks = [];
    for ($lesson = $one([0, 1, 2, 5, 20, 60]); $lesson > 0 && $at < $today; $lesson--, $at = $at->modify('+'.$one([1, 3, 7, 7, 21, 90]).' days')) {
        for ($round = $chance->getInt(1, 6); $round > 0; $round--) {
            $routine = $one($known);
            $noted = array_filter([
                'conditions' => $one([null, ['traffic' => $one(['quiet', 'moderate', 'busy']), 'light' => $one(['day', 'dusk', 'night'])]]),
                'place' => $one([null, 'here', 'there']), 'marker' => $one([null, 'Ada', 'Ben']),
            ]);
            foreach (Step::cases() as $step) {
                if (Catalogue::routine(RoutineCode::from($routine), RulePacks::byCode($pack))->has($step)) {
                    $marks[] = ['at' => $at->modify("+{$round} minutes")->format('Y-m-d\TH:i:s\Z'), 'routine' => $routine, 'step' => $step->value,
                        'outcome' => $one($how)] + $noted;
                }
            }
        }
    }

    return $marks;
}

it('answers whatever is asked of a record, in sentences', function (int $seed): void {
    $chance = new Randomizer(new Mt19937(40_000 + $seed));
    $one = static fn (array $of): mixed => $of[$chance->getInt(0, count($of) - 1)];
    $pack = $one(['gb', 'ie', 'na']);
    $today = new DateTimeImmutable('2026-05-20T00:00:00Z');
    $marks = drawnRecord($chance, $pack, $today);
    $record = ['pack' => $pack, 'today' => $today->format('Y-m-d'), 'marks' => $marks];
    $minutes = $one([6, 7, 10, 13, 30, 45, 60, 90, 120, 300]);
    $ways = array_map(static fn (int $i): array => [
        'id' => "w{$i}", 'name' => "Way {$i}",
        'routine' => $one(['turn-left', 'emerge-right', 'roundabout', 'cross', 'lights-left', 'move-off', 'pass-parked']),
        'difficulty' => $chance->getInt(0, 20) / 20.0, 'rounds' => $chance->getInt(1, 5),
        'in' => ['latitude_deg' => 49.2 + $chance->getInt(-90, 90) / 4e3, 'longitude_deg' => -8.1 + $chance->getInt(-90, 90) / 3e3],
    ], range(1, $chance->getInt(1, 14)));
    $asked = [
        'next-lesson' => $record + [
            'starts_at' => "2026-05-20T{$one(['06:10', '09:00', '17:00', '23:50'])}:00Z", 'minutes' => $minutes, 'ways' => $ways,
            'debrief_s' => 60 * $one([0, 2, 5]), 'start' => ['latitude_deg' => 49.2, 'longitude_deg' => -8.1],
            'learner_level' => $one(['beginner', 'developing', 'independent']), 'vehicle' => ['transmission' => $one(['manual', 'automatic'])],
        ] + $one([[], ['test_on' => '2026-05-20'], ['test_on' => '2026-06-03']]) + $one([[], ['agreed' => [['routine' => 'turn-right', 'step' => 'look']]]]),
        'ready' => $record + ['scheme' => ['gb' => 'gb-car', 'ie' => 'ie-car', 'na' => 'na-ca-car'][$pack], 'lesson_minutes' => $one([30, 60, 120]),
            'lesson_minutes_a_week' => $one([10, 30, 90, 600]), 'practice_minutes_a_week' => $one([0, 120])] + $one([[], ['test_on' => '2026-05-21']]),
        'skill' => $record,
    ];
    foreach ($asked as $tool => $input) {
        $answer = Toolbox::run($tool, $input);
        expect(Sentences::unsound($answer))->toBe([], "seed {$seed}: {$tool}")
            ->and(json_encode($answer))->not->toBeFalse()->not->toMatch('/\{\w+\}|\[\w[^\]"]*\|/');
        array_walk_recursive($answer, static function (mixed $value, string|int $field) use ($seed): void {
            if (in_array($field, ['estimate', 'low', 'high', 'chance', 'alone'], true) && is_float($value)) {
                expect($value)->toBeGreaterThanOrEqual(-1.0, "seed {$seed}: {$field}")->toBeLessThanOrEqual(1.0, "seed {$seed}: {$field}");
            }
        });
    }
    $lesson = Toolbox::run('next-lesson', $asked['next-lesson']);
    $until = array_sum(array_map(static fn (array $part): int => $part['until_s'] - $part['from_s'], $lesson['parts']));
    expect($until)->toBeIn([0, 60 * $minutes])->and(count($lesson['order']) + count($lesson['left_out']))->toBe(count($ways));
    // What has a way is an aim only where the lesson drives it; what needs no place can be driven anywhere, and what was agreed is somebody's word.
    $of = array_column($ways, 'routine', 'id');
    $driven = array_map(static fn (string $way): string => $of[$way], $lesson['order']);
    foreach ($lesson['aims'] as $aim) {
        if ($aim['reason'] !== 'agreed' && in_array($aim['routine'], array_diff($of, ['move-off', 'pass-parked']), true)) {
            expect($driven)->toContain($aim['routine']);
        }
    }
})->with(range(1, 30));
