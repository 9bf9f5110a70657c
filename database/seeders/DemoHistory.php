<?php

namespace Database\Seeders;

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Place;
use App\Models\PlannedItem;
use App\Models\Promise;
use App\Models\Remedy;
use App\Models\User;
use App\Models\Vehicle;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Compute\Tool\RoutineFacts;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** Months of lessons of one invented learner, with rounds and marks that get better in places. */
final class DemoHistory
{
    private const STEPS = ['mirrors', 'signal', 'position', 'speed', 'look'];

    /**
     * @param  list<Place>  $places  in the order in which they are met
     * @param  ?string  $weakIn  conditions that trouble this learner more than others
     * @param  ?string  $overrates  the step this learner thinks better of than the marks do
     * @param  int  $pausedDays  since the last lesson, beyond the week
     */
    public function __construct(
        private readonly Learner $learner,
        private readonly string $weak,
        private readonly Vehicle $car,
        private readonly User $instructor,
        private readonly array $places,
        private readonly string $zone,
        private readonly ?string $weakIn = null,
        private readonly ?string $overrates = null,
        private readonly int $pausedDays = 0,
    ) {
    }

    public function past(int $lessons, int $seat): void
    {
        $rounds = $marks = [];
        for ($n = 0; $n < $lessons; $n++) {
            $startsAt = now($this->zone)->startOfDay()->subDays(($lessons - $n) * 7 - $seat % 6 + $this->pausedDays)->setTime(9 + $seat % 8, 0)->utc();
            $lesson = $this->lesson($startsAt, $n);
            [$newRounds, $newMarks] = $this->drive($lesson, $this->chosen($n), 5 + mt_rand(0, 3), $n);
            array_push($rounds, ...$newRounds);
            foreach (array_values(array_unique(array_filter(array_column($newRounds, 'place_id')))) as $k => $place) {
                PlannedItem::query()->create(['lesson_id' => $lesson->id, 'place_id' => $place, 'ordinal' => $k + 1, 'minutes' => 12]);
            }
            array_push($marks, ...$newMarks);
            $this->promises($lesson, $n, $lessons);
            $this->remedy($lesson, $newRounds[0]['routine'], $n);
        }
        self::insert($rounds, $marks);
    }

    /** @return non-empty-list<Place> four of those met by then, new ones among them */
    private function chosen(int $n): array
    {
        $met = min(count($this->places), 3 + (int) (1.4 * $n));
        $at = [$met - 1, mt_rand(max(0, $met - 4), $met - 1), mt_rand(0, $met - 1), mt_rand(0, $met - 1)];

        return array_values(array_map(fn (int $i): Place => $this->places[$i], array_unique($at)));
    }

    /** A lesson of today that is over: driven at its planned places, as after $n lessons. */
    public function driven(Lesson $lesson, int $n): void
    {
        $places = array_values($lesson->items()->with('place')->get()->map(fn (PlannedItem $item): Place => $item->place)->all());
        [$rounds, $marks] = $this->drive($lesson, $places, 5, $n);
        // What is still to tell, Today says.
        $late = new DemoMoments($lesson, $this->instructor->id, $n);
        $late->untold($rounds[count($rounds) > 2 ? 2 : 0]);
        self::insert($rounds, [...$marks, ...$late->marks()]);
    }

    /**
     * @param  list<Place>  $places
     * @return array{list<array<string, mixed>>, list<array<string, mixed>>} rows of rounds and of their marks
     */
    private function drive(Lesson $lesson, array $places, int $times, int $n): array
    {
        $rounds = $marks = [];
        $wet = mt_rand(0, 3) === 0;
        for ($round = 0; $round < $times; $round++) {
            $place = $places[mt_rand(0, count($places) - 1)];
            $at = $lesson->starts_at->copy()->addMinutes(8 + intdiv($round * 48, $times));
            $conditions = $this->conditions($place, $at, $wet);
            $rounds[] = $row = DemoRows::round($this->learner->school_id, $lesson->id, $at, [
                'place_id' => $place->id, 'routine' => $place->routine, 'side' => self::wayOut($place), 'conditions' => json_encode($conditions),
            ]);
            array_push($marks, ...$this->marks($row['id'], $at->format('Y-m-d H:i:s.v'), $n, $round, $conditions, RoutineCode::from($place->routine)));
        }

        [$more, $beside] = (new DemoMoments($lesson, $this->instructor->id, $n))->beside($rounds);

        return [[...$rounds, ...$more], [...$marks, ...$beside]];
    }

    /**
     * @param  list<array<string, mixed>>  $rounds
     * @param  list<array<string, mixed>>  $marks
     */
    private static function insert(array $rounds, array $marks): void
    {
        DB::table('rounds')->insert($rounds);
        foreach (array_chunk($marks, 400) as $chunk) {
            DB::table('marks')->insert($chunk);
        }
    }

    /** Where all ways lead out of a place, the side of the one that was driven. */
    private static function wayOut(Place $place): ?string
    {
        $sides = RoutineFacts::sideByExit(RoutineCode::from($place->routine), RulePacks::byCode('gb'));

        return $sides[$place->road['exit'] ?? 'ahead'] ?? null;
    }

    private function lesson(CarbonInterface $startsAt, int $n): Lesson
    {
        $lesson = new Lesson([
            'learner_id' => $this->learner->id, 'vehicle_id' => $this->car->id, 'starts_at' => $startsAt, 'minutes' => 60,
            'aim' => 'Work on '.$this->weak, 'aim_step' => $this->weak, 'state' => 'done', 'self_rating' => $n % 2 === 0 ? $this->rated($n) : [],
            'went_well' => 'Calm at every line.',
        ]);
        $lesson->instructor_id = $this->instructor->id;
        $lesson->save();

        return $lesson;
    }

    /** @return array<string, string> by step */
    private function rated(int $n): array
    {
        $said = [];
        foreach (self::STEPS as $step) {
            $said[$step] = $step === $this->overrates
                ? 'unaided'
                : ($step === $this->weak ? ['prompted', 'reminded'][min(1, intdiv($n, 6))] : ['prompted', 'reminded', 'unaided'][min(2, intdiv($n + 1, 3))]);
        }

        return $said;
    }

    /** @return array<string, string> dark early in winter; the kind of road by its limit */
    private function conditions(Place $place, CarbonInterface $at, bool $wet): array
    {
        $there = $at->copy()->setTimezone($this->zone);
        $winter = $there->month >= 10 || $there->month <= 2;
        $limit = $place->road['limit_mph'] ?? null;

        return [
            'traffic' => ['quiet', 'quiet', 'moderate', 'moderate', 'busy'][mt_rand(0, 4)],
            'light' => $winter && $there->hour >= 17 ? 'night' : ($winter && $there->hour >= 16 ? 'dusk' : 'day'),
            'surface' => $wet ? 'wet' : 'dry',
            'road' => match (true) {
                $limit === null => 'dual', $limit <= 20 => 'residential', $limit <= 40 => 'town', default => 'rural'
            },
        ];
    }

    /**
     * @param  array<string, string>  $conditions
     * @return list<array<string, mixed>>
     */
    private function marks(string $round, string $at, int $n, int $ordinal, array $conditions, RoutineCode $routine): array
    {
        $mark = fn (array $what): array => DemoRows::mark($this->learner->school_id, $round, $this->instructor->id, $at, $what);
        if ($n === 0 && $ordinal === 0) {
            return [$mark(['kind' => 'taught', 'taught' => 'shown'])];
        }
        $marks = [];
        $section = Catalogue::routine($routine, RulePacks::byCode('gb'))->section;
        foreach (self::STEPS as $step) {
            $sure = 0.4 + 0.06 * min(9, $n) + 0.02 * $ordinal - ($step === $this->weak ? 0.35 : 0.0) - [
                'quiet' => 0.0, 'moderate' => 0.05, 'busy' => 0.12,
            ][$conditions['traffic']] - (in_array($this->weakIn, $conditions, true) ? 0.4 : 0.0);
            $chance = mt_rand() / mt_getrandmax();
            $outcome = match (true) {
                $chance < $sure => 'unaided',
                $chance < $sure + 0.25 => 'reminded',
                $chance < $sure + 0.5 => 'prompted',
                mt_rand(0, 5) === 0 => 'intervened',
                default => 'missed',
            };
            $marks[] = $mark(['step' => $step, 'outcome' => $outcome, 'out_of_order' => $step === 'signal' && $outcome !== 'unaided' && mt_rand(0, 2) === 0]
                + self::whatWasWrong($outcome, Faults::likely($routine, $section, Step::from($step)), crc32("{$n} {$ordinal} {$step} {$this->weak}")));
        }
        if (mt_rand(0, 6) === 0) {
            $marks[] = $mark(['kind' => 'decision', 'decision' => 'held-back-rightly']);
        }

        return $marks;
    }

    /**
     * The likeliest kind most often; without a throw of the dice, so that the rest of the demo stays as it is.
     *
     * @param  list<string>  $likely
     * @return array{fault: ?string, effect: ?string}
     */
    private static function whatWasWrong(string $outcome, array $likely, int $chance): array
    {
        $said = ! in_array($outcome, ['unaided', 'reminded'], true) && $chance % 4 !== 0;

        return [
            'fault' => $said ? $likely[[0, 0, 0, 1, 1, 2][intdiv($chance, 4) % 6]] : null,
            'effect' => ! $said ? null : match ($outcome) {
                'intervened' => 'intervened', 'missed' => ['nobody', 'potential', 'affected'][intdiv($chance, 24) % 3], default => 'nobody',
            },
        ];
    }

    /** The third lesson's remedy, and its drill for every second learner: long enough ago to see what came of it. */
    private function remedy(Lesson $lesson, string $routine, int $n): void
    {
        if ($n !== 2) {
            return;
        }
        $code = RoutineCode::from($routine);
        $fault = Faults::likely($code, Catalogue::routine($code, RulePacks::byCode('gb'))->section, Step::from($this->weak))[0];
        foreach (crc32($this->learner->name) % 2 === 0 ? ['remedy'] : ['remedy', 'drill'] as $what) {
            Remedy::query()->create([
                'learner_id' => $this->learner->id, 'lesson_id' => $lesson->id, 'routine' => $routine, 'step' => $this->weak, 'fault' => $fault,
                'what' => $what, 'user_id' => $this->instructor->id,
            ]);
        }
    }

    private function promises(Lesson $lesson, int $n, int $lessons): void
    {
        $last = $n === $lessons - 1;
        if ($n % 2 === 1 || $last) {
            Promise::query()->create([
                'lesson_id' => $lesson->id, 'learner_id' => $this->learner->id, 'kind' => 'homework',
                'text' => 'As a passenger, say “mirrors” before each turn', 'kept_at' => $last ? null : now(),
            ]);
        }
        if ($last) {
            Promise::query()->create([
                'lesson_id' => $lesson->id, 'learner_id' => $this->learner->id, 'kind' => 'promise',
                'text' => 'Begin with a quiet right turn before Battery Hill', 'routine' => 'turn-right',
            ]);
        }
    }
}
