<?php

namespace Database\Seeders;

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Place;
use App\Models\PlannedItem;
use App\Models\Promise;
use App\Models\User;
use App\Models\Vehicle;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Months of lessons of one invented learner, with rounds and marks that get better in places. */
final class DemoHistory
{
    private const STEPS = ['mirrors', 'signal', 'position', 'speed', 'look'];

    /** @param  list<Place>  $places */
    public function __construct(
        private readonly Learner $learner,
        private readonly string $weak,
        private readonly Vehicle $car,
        private readonly User $instructor,
        private readonly array $places,
        private readonly string $zone,
    ) {
    }

    public function past(int $lessons, int $seat): void
    {
        $rounds = $marks = [];
        for ($n = 0; $n < $lessons; $n++) {
            $startsAt = now($this->zone)->startOfDay()->subDays(($lessons - $n) * 7 - $seat % 6)->setTime(9 + $seat % 8, 0)->utc();
            $lesson = $this->lesson($startsAt, $n);
            $known = array_slice($this->places, 0, 2 + intdiv($n, 2));
            [$newRounds, $newMarks] = $this->drive($lesson, $known, 3 + mt_rand(0, 3), $n);
            array_push($rounds, ...$newRounds);
            foreach (array_values(array_unique(array_column($newRounds, 'place_id'))) as $k => $place) {
                PlannedItem::query()->create(['lesson_id' => $lesson->id, 'place_id' => $place, 'routine' => array_column($newRounds, 'routine', 'place_id')[$place], 'ordinal' => $k + 1, 'minutes' => 12]);
            }
            array_push($marks, ...$newMarks);
            $this->promises($lesson, $n, $lessons);
        }
        self::insert($rounds, $marks);
    }

    /** A lesson of today that is over: driven at its planned places, as after $n lessons. */
    public function driven(Lesson $lesson, int $n): void
    {
        $places = array_values($lesson->items()->with('place')->get()->map(fn (PlannedItem $item): Place => $item->place)->all());
        self::insert(...$this->drive($lesson, $places, 5, $n));
    }

    /**
     * @param  list<Place>  $places
     * @return array{list<array<string, mixed>>, list<array<string, mixed>>} rows of rounds and of their marks
     */
    private function drive(Lesson $lesson, array $places, int $times, int $n): array
    {
        $rounds = $marks = [];
        for ($round = 0; $round < $times; $round++) {
            $place = $places[mt_rand(0, count($places) - 1)];
            $at = $lesson->starts_at->copy()->addMinutes(8 + $round * 8)->format('Y-m-d H:i:s.v');
            $id = (string) Str::uuid7();
            $rounds[] = ['id' => $id, 'school_id' => $this->learner->school_id, 'lesson_id' => $lesson->id, 'place_id' => $place->id, 'routine' => $place->routine, 'ordinal' => $round + 1, 'conditions' => json_encode(['surface' => mt_rand(0, 3) === 0 ? 'wet' : 'dry']), 'device_at' => $at, 'server_at' => $at];
            array_push($marks, ...$this->marks($id, $at, $n, $round));
        }

        return [$rounds, $marks];
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

    private function lesson(CarbonInterface $startsAt, int $n): Lesson
    {
        $lesson = new Lesson(['learner_id' => $this->learner->id, 'vehicle_id' => $this->car->id, 'starts_at' => $startsAt, 'minutes' => 60, 'aim' => 'Work on '.$this->weak, 'state' => 'done', 'self_rating' => $n % 2 === 0 ? ['mirrors' => 'unaided', $this->weak => 'reminded'] : [], 'went_well' => 'Calm at every line.']);
        $lesson->instructor_id = $this->instructor->id;
        $lesson->save();

        return $lesson;
    }

    /** @return list<array<string, mixed>> */
    private function marks(string $round, string $at, int $n, int $ordinal): array
    {
        $mark = fn (array $what): array => ['id' => (string) Str::uuid7(), 'school_id' => $this->learner->school_id, 'round_id' => $round, 'kind' => 'step', 'step' => null, 'outcome' => null, 'taught' => null, 'out_of_order' => false, 'user_id' => $this->instructor->id, 'device_at' => $at, 'server_at' => $at, ...$what];
        if ($n === 0 && $ordinal === 0) {
            return [$mark(['kind' => 'taught', 'taught' => 'shown'])];
        }
        $marks = [];
        foreach (self::STEPS as $step) {
            $sure = 0.35 + 0.06 * min(9, $n) + 0.03 * $ordinal - ($step === $this->weak ? 0.35 : 0.0);
            $chance = mt_rand() / mt_getrandmax();
            $outcome = match (true) {
                $chance < $sure => 'unaided',
                $chance < $sure + 0.25 => 'reminded',
                $chance < $sure + 0.5 => 'prompted',
                mt_rand(0, 5) === 0 => 'intervened',
                default => 'missed',
            };
            $marks[] = $mark(['step' => $step, 'outcome' => $outcome, 'out_of_order' => $step === 'signal' && $outcome !== 'unaided' && mt_rand(0, 2) === 0]);
        }
        if (mt_rand(0, 6) === 0) {
            $marks[] = $mark(['kind' => 'held-back-rightly']);
        }

        return $marks;
    }

    private function promises(Lesson $lesson, int $n, int $lessons): void
    {
        $last = $n === $lessons - 1;
        if ($n % 2 === 1 || $last) {
            Promise::query()->create(['lesson_id' => $lesson->id, 'learner_id' => $this->learner->id, 'kind' => 'homework', 'text' => 'As a passenger, say “mirrors” before each turn', 'kept_at' => $last ? null : now()]);
        }
        if ($last) {
            Promise::query()->create(['lesson_id' => $lesson->id, 'learner_id' => $this->learner->id, 'kind' => 'promise', 'text' => 'Begin with a quiet right turn before Battery Hill']);
        }
    }
}
