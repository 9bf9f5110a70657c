<?php

namespace Database\Seeders;

use App\Models\Assessment;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\User;
use App\Models\Vehicle;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Next\Required;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\Step;
use NobleTurn\Core\Vehicle\Transmission;

/** Two more made-up learners, who stand where an owner wants to see somebody: near a test that nobody has booked, and still, with nothing booked. */
final class DemoStages
{
    private const ROUNDS = 10;

    /** Of that which a test asks most, the rounds that only they drive over and over. */
    private const STILL = ['emerge-right', 'turn-right', 'roundabout', 'emerge-left'];

    private function __construct(
        private readonly Learner $learner, private readonly Vehicle $car, private readonly User $instructor, private readonly string $zone,
    ) {
    }

    public static function fill(User $instructor, Vehicle $car, string $zone): void
    {
        $near = Learner::query()->create(['name' => 'Edda Lowrie', 'level' => 'independent', 'transmission' => 'manual', 'pick_up' => 'Quarrel Steps 3']);
        (new self($near, $car, $instructor, $zone))->past(26, 2, static fn (int $lesson, int $round, string $step): string => match (true) {
            self::chance("{$lesson} {$round} {$step}") < 0.3 + 0.06 * $lesson => 'unaided',
            $lesson < 12 => 'prompted',
            default => 'reminded',
        });
        Assessment::query()->create([
            'learner_id' => $near->id, 'kind' => 'mock-test', 'taken_at' => now()->subDays(9)->setTime(8, 30), 'scheme' => 'gb-car', 'result' => 'pass',
            'faults' => [['step' => 'mirrors', 'routine' => 'turn-left', 'fault' => 'late', 'effect' => 'nobody']],
        ]);
        $still = Learner::query()->create(['name' => 'Marek Thistlewood', 'level' => 'developing', 'transmission' => 'manual', 'pick_up' => 'Cooper’s Yard']);
        (new self($still, $car, $instructor, $zone))->past(14, 4, static fn (int $lesson, int $round, string $step): string => match (true) {
            $step === 'look' => ['prompted', 'prompted', 'missed'][$round % 3],
            self::chance("{$lesson} {$round} {$step}") < 0.45 => 'unaided',
            default => 'prompted',
        });
    }

    /** @param  \Closure(int, int, string): string  $outcome */
    private function past(int $lessons, int $weekday, \Closure $outcome): void
    {
        $rounds = $marks = [];
        for ($n = 0; $n < $lessons; $n++) {
            // Before the others begin, so that nobody is in two cars at once.
            $startsAt = now($this->zone)->startOfDay()->subDays(7 * ($lessons - $n) - $weekday)->setTime(7, 45)->utc();
            $lesson = new Lesson([
                'learner_id' => $this->learner->id, 'vehicle_id' => $this->car->id, 'starts_at' => $startsAt, 'minutes' => 60, 'state' => 'done',
                'aim' => 'Looking both ways before deciding', 'aim_step' => 'look',
            ]);
            $lesson->instructor_id = $this->instructor->id;
            $lesson->save();
            for ($round = 0; $round < self::ROUNDS; $round++) {
                $at = $startsAt->copy()->addMinutes(7 + intdiv($round * 46, self::ROUNDS));
                $routine = $this->routine($n * self::ROUNDS + $round);
                $rounds[] = $row = DemoRows::round($this->learner->school_id, $lesson->id, $at, [
                    'routine' => $routine->code->value, 'elsewhere' => 'On the way',
                    'conditions' => json_encode([
                        'traffic' => ['moderate', 'busy', 'quiet', 'busy'][($n + $round) % 4], 'light' => 'day', 'surface' => $n % 4 === 0 ? 'wet' : 'dry',
                        'road' => 'town',
                    ]),
                ]);
                foreach (array_filter(Step::cases(), $routine->has(...)) as $step) {
                    $said = $outcome($n, $round, $step->value);
                    $marks[] = DemoRows::mark($this->learner->school_id, $row['id'], $this->instructor->id, $at->format('Y-m-d H:i:s.v'), [
                        'step' => $step->value, 'outcome' => $said,
                        ...($step->value === 'look' && in_array($said, ['prompted', 'missed'], true)
                            ? ['fault' => 'one-way-only', 'effect' => 'nobody'] : []),
                    ]);
                }
            }
        }
        DB::table('rounds')->insert($rounds);
        foreach (array_chunk($marks, 400) as $chunk) {
            DB::table('marks')->insert($chunk);
        }
    }

    private function routine(int $round): Routine
    {
        $required = Required::of(RulePacks::byCode('gb'), Transmission::Manual);
        $driven = $this->learner->level === 'independent'
            ? $required : array_values(array_filter($required, static fn (Routine $one): bool => in_array($one->code->value, self::STILL, true)));

        return $driven[$round % count($driven)];
    }

    /** Of 1, and the same for the same words: nobody else’s demo changes by it. */
    private static function chance(string $of): float
    {
        return crc32("stages {$of}") % 1000 / 1000.0;
    }
}
