<?php

namespace Database\Seeders;

use App\Models\Lesson;
use Illuminate\Support\Carbon;
use NobleTurn\Core\Record\Decision;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Routine\Stages;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Stage;
use NobleTurn\Core\Trade\Step;

/**
 * What happens beside the planned rounds of an invented lesson: a stretch in which rear looks are counted, gaps at a junction, a hazard that
 * nobody planned, told of a moment, and right decisions. Nothing is thrown with the dice: the rest of the demo stays as it is.
 */
final class DemoMoments
{
    /** Met by everybody, planned by nobody. */
    private const HAZARDS = [
        [RoutineCode::PassBus, Step::Position, 'past the school'], [RoutineCode::People, Step::Speed, 'by the market'],
        [RoutineCode::Meet, Step::Look, 'Ropewalk, parked both sides'], [RoutineCode::PassParked, Step::Mirrors, null],
    ];

    /** @var list<array<string, mixed>> */
    private array $rounds = [];

    /** @var list<array<string, mixed>> */
    private array $marks = [];

    /** @param  int  $n  lessons before this one */
    public function __construct(private readonly Lesson $lesson, private readonly string $instructor, private readonly int $n)
    {
    }

    /**
     * @param  list<array<string, mixed>>  $driven  rounds of the lesson
     * @return array{list<array<string, mixed>>, list<array<string, mixed>>} more rounds, and marks of both
     */
    public function beside(array $driven): array
    {
        $this->lookedBehind($driven[0]);
        foreach ($driven as $i => $round) {
            if (str_starts_with($round['routine'], 'emerge-')) {
                $this->gaps($round, $i);
            }
        }
        if ($this->n % 2 === 1) {
            $this->hazard($driven[intdiv(count($driven), 2)]);
        }
        if ($this->n % 4 === 1) {
            $this->pulledUp($driven[count($driven) - 1]);
        }
        if ($this->n % 3 === 2) {
            $this->mark($driven[1], 30, ['kind' => 'decision', 'decision' => [Decision::LetGo, Decision::AskedAgain][$this->n % 2]->value]);
        }

        return [$this->rounds, $this->marks];
    }

    /**
     * A moment that nobody has told yet.
     *
     * @param  array<string, mixed>  $round
     */
    public function untold(array $round): void
    {
        $this->mark($round, 50, ['kind' => 'moment']);
    }

    /** @return list<array<string, mixed>> */
    public function marks(): array
    {
        return $this->marks;
    }

    /** @param  array<string, mixed>  $round  first of the lesson */
    private function lookedBehind(array $round): void
    {
        $stretch = $this->round($round, -240, ['routine' => RoutineCode::BetweenHazards->value]);
        $seconds = 150 + 10 * ($this->n % 4);
        $this->mark($stretch, $seconds, [
            'kind' => 'count', 'what' => 'rear-looks', 'number' => 4 + min(9, $this->n) + $this->n % 3, 'seconds' => $seconds,
        ]);
        // Speed comes first, needless signals go next, and the wheel is last to be still.
        foreach ([[Step::Signal, 'misleads', 4], [Step::Position, 'steadiness', 7], [Step::Speed, 'too-slow', 2]] as [$step, $fault, $until]) {
            $faulty = $this->n < $until && ($this->n + $until) % 3 !== 0;
            $this->mark($stretch, $seconds, [
                'step' => $step->value, 'outcome' => $faulty ? 'reminded' : 'unaided', 'fault' => $faulty ? $fault : null,
                'effect' => $faulty ? 'nobody' : null,
            ]);
        }
        foreach ([1.2 + 0.1 * min(8, $this->n), 1.6 + 0.08 * min(8, $this->n)] as $i => $ahead) {
            $this->mark($stretch, 40 + $i, ['kind' => 'count', 'what' => 'counted-gap', 'number' => 2, 'seconds' => $ahead]);
        }
    }

    /**
     * Waits for too long at first.
     *
     * @param  array<string, mixed>  $round
     */
    private function gaps(array $round, int $i): void
    {
        $timid = max(0.0, 3.5 - 0.4 * $this->n);
        $this->mark($round, 10, ['kind' => 'count', 'what' => 'gaps-let-go', 'number' => 1, 'seconds' => 3.6 + 0.7 * (($this->n + $i) % 4)]);
        if ($timid > 0.5) {
            $this->mark($round, 14, ['kind' => 'count', 'what' => 'gaps-let-go', 'number' => 1, 'seconds' => 6.4 + $timid - 0.6 * ($i % 2)]);
        }
        $this->mark($round, 22, ['kind' => 'count', 'what' => 'gap-taken', 'number' => 1, 'seconds' => 7.6 + $timid + 0.5 * (($this->n + $i) % 3)]);
    }

    /**
     * At the kerb and away again, marked apart: the end of it is what goes wrong longest.
     *
     * @param  array<string, mixed>  $driven
     */
    private function pulledUp(array $driven): void
    {
        $round = $this->round($driven, 200, ['routine' => RoutineCode::PullUpLeft->value, 'elsewhere' => 'along the park']);
        $section = Catalogue::routine(RoutineCode::PullUpLeft, RulePacks::byCode('gb'))->section;
        foreach (Stages::of(RoutineCode::PullUpLeft) as $stage => $words) {
            foreach (Step::cases() as $step) {
                $weak = $this->n < 8 && $step === ($stage === Stage::MoveOff->value ? Step::Look : Step::Position);
                $this->mark($round, $stage === Stage::MoveOff->value ? 80 : 20, [
                    'step' => $step->value, 'stage' => $stage, 'outcome' => $weak ? 'prompted' : 'unaided',
                    'fault' => $weak ? Faults::likely(RoutineCode::PullUpLeft, $section, $step)[0] : null, 'effect' => $weak ? 'nobody' : null,
                ]);
            }
        }
    }

    /** @param  array<string, mixed>  $driven  the round in which the key was pressed */
    private function hazard(array $driven): void
    {
        [$routine, $step, $where] = self::HAZARDS[intdiv($this->n, 2) % count(self::HAZARDS)];
        $moment = $this->mark($driven, 70, ['kind' => 'moment']);
        $round = $this->round($driven, 70, ['routine' => $routine->value, 'elsewhere' => $where, 'moment_id' => $moment['id']]);
        $this->mark($driven, 150, ['kind' => 'moment', 'corrects_id' => $moment['id'], 'slot' => $moment['slot'], 'withdrawn' => true]);
        $likely = Faults::likely($routine, Catalogue::routine($routine, RulePacks::byCode('gb'))->section, $step);
        $this->mark($round, 80, [
            'step' => $step->value, 'outcome' => $this->n < 6 ? 'missed' : 'prompted', 'fault' => $likely[0],
            'effect' => $this->n < 4 ? 'potential' : 'nobody',
        ]);
    }

    /**
     * @param  array<string, mixed>  $driven
     * @param  array<string, mixed>  $what
     * @return array<string, mixed>
     */
    private function round(array $driven, int $later, array $what): array
    {
        return $this->rounds[] = DemoRows::round(
            $driven['school_id'], $this->lesson->id, Carbon::parse($driven['began_at'])->addSeconds($later), ['conditions' => $driven['conditions'], ...$what],
        );
    }

    /**
     * @param  array<string, mixed>  $round
     * @param  array<string, mixed>  $what
     * @return array<string, mixed>
     */
    private function mark(array $round, int $later, array $what): array
    {
        $at = Carbon::parse($round['began_at'])->addSeconds($later)->format('Y-m-d H:i:s.v');

        return $this->marks[] = DemoRows::mark($round['school_id'], $round['id'], $this->instructor, $at, $what);
    }
}
