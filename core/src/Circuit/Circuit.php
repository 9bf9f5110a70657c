<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** Ways linked so that the minutes of a lesson add up: from where it starts, through them, to where it ends. */
final readonly class Circuit
{
    /**
     * @param  list<Stop>  $stops  as given
     * @param  Choice  $choice  of them
     * @param  list<LeftOut>  $leftOut
     * @param  bool  $isExact  whether no other choice is better
     */
    private function __construct(
        private array $stops, private Legs $legs, public Choice $choice, public array $leftOut, public bool $isExact, private int $seconds,
        private int $debriefSeconds,
    ) {
    }

    /**
     * @param  list<Stop>  $stops
     * @param  int  $seconds  of the lesson
     * @param  int  $debriefSeconds  of them, at its end; with the drive from start to end not more than there are
     */
    public static function of(Order $order, array $stops, Legs $legs, int $seconds, int $debriefSeconds): self
    {
        $budget = (float) ($seconds - $debriefSeconds);
        $alone = array_map(static fn (int $way): float => $legs->along([$way]) + $stops[$way]->onceSeconds() - $budget, array_keys($stops));
        $within = array_keys(array_filter($alone, static fn (float $short): bool => $short <= 1e-6));
        $isExact = $order === Order::AsGiven || count($within) <= Exactly::MOST;
        $choice = match (true) {
            $order === Order::AsGiven => InTurn::choose($within, $stops, $legs, $budget),
            $isExact => Exactly::choose($order, $within, $stops, $legs, $budget),
            default => Roughly::choose($order, $within, $stops, $legs, $budget),
        };
        $spare = $budget - $choice->driven - Choice::secondsAt($choice->rounds, $stops);
        $leftOut = [];
        foreach ($stops as $way => $stop) {
            $rounds = $stop->rounds - ($choice->rounds[$way] ?? 0);
            if ($rounds > 0) {
                $leftOut[] = in_array($way, $within, true)
                    ? new LeftOut($stop, $rounds, false, self::added($order, $way, $stops, $legs, $choice) - $spare)
                    : new LeftOut($stop, $rounds, true, $alone[$way]);
            }
        }

        return new self($stops, $legs, $choice, $leftOut, $isExact, $seconds, $debriefSeconds);
    }

    /**
     * What somebody else has chosen: nothing is said of what is left out.
     *
     * @param  list<Stop>  $stops
     * @param  array<int, int>  $rounds  by the way's number, in the order driven; there is time for them
     */
    public static function chosen(array $stops, Legs $legs, array $rounds, int $seconds, int $debriefSeconds): self
    {
        $choice = Choice::of(Order::EasyToHard, $rounds, $stops, $legs->along(array_keys($rounds)));

        return new self($stops, $legs, $choice, [], false, $seconds, $debriefSeconds);
    }

    /**
     * What the rounds of a way that are left out would add, where it adds least, s.
     *
     * @param  list<Stop>  $stops
     */
    private static function added(Order $order, int $way, array $stops, Legs $legs, Choice $choice): float
    {
        $kept = $choice->rounds[$way] ?? 0;
        if ($kept > 0) {
            return (float) (($stops[$way]->rounds - $kept) * $stops[$way]->furtherSeconds());
        }
        $ways = $choice->ways();
        $least = INF;
        for ($at = 0; $at <= count($ways); $at++) {
            $before = array_slice($ways, 0, $at);
            $after = array_slice($ways, $at);
            $fits = match ($order) {
                Order::AsGiven => max([-1, ...$before]) < $way && min([PHP_INT_MAX, ...$after]) > $way,
                Order::EasyToHard => max([0.0, ...array_map(static fn (int $one): float => $stops[$one]->difficulty, $before)]) <= $stops[$way]->difficulty
                    && min([1.0, ...array_map(static fn (int $one): float => $stops[$one]->difficulty, $after)]) >= $stops[$way]->difficulty,
                default => true,
            };
            $least = $fits ? min($least, $legs->along([...$before, $way, ...$after])) : $least;
        }

        return $least - $choice->driven + $stops[$way]->seconds($stops[$way]->rounds);
    }

    public function fits(): bool
    {
        return $this->leftOut === [];
    }

    /** @return list<Stop> in the order driven */
    public function driven(): array
    {
        return array_map(fn (int $way): Stop => $this->stops[$way], $this->choice->ways());
    }

    /** @return list<Told> what is said on the way round */
    public function directions(Drive $drive): array
    {
        $metres = [];
        $at = Legs::START;
        foreach ($this->choice->ways() as $way) {
            $metres[] = $this->legs->metres($at, $way);
            $at = $way;
        }

        return Directions::along($this->driven(), $metres, $drive);
    }

    /** @return list<Part> one after the other, from 0 to the end of the lesson; none is empty */
    public function parts(): array
    {
        $line = new TimeLine;
        $at = Legs::START;
        foreach ($this->choice->rounds as $way => $rounds) {
            $stop = $this->stops[$way];
            $line->add(PartKind::Drive, $this->legs->seconds($at, $way), $this->legs->metres($at, $way), $stop->id, null, $this->legs->isMeasured($at, $way));
            $line->add(PartKind::Brief, $stop->briefSeconds, 0.0, $stop->id);
            for ($round = 1; $round <= $rounds; $round++) {
                if ($round > 1) {
                    $line->add(PartKind::Again, $stop->againSeconds, $stop->againMetres, $stop->id, $round);
                }
                $line->add(PartKind::Round, $stop->roundSeconds, $stop->roundMetres, $stop->id, $round);
            }
            $at = $way;
        }
        $line->add(
            PartKind::Drive, $this->legs->seconds($at, Legs::END), $this->legs->metres($at, Legs::END), null, null, $this->legs->isMeasured($at, Legs::END),
        );
        $line->add(PartKind::Debrief, $this->debriefSeconds);

        return $line->until($this->seconds);
    }
}
