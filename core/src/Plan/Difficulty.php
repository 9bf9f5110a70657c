<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Place\JunctionShape;
use NobleTurn\Core\Place\ParkedAlong;
use NobleTurn\Core\Place\TooLittleSeen;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Site\Way;
use NobleTurn\Core\Trade\RoutineCode as R;

/**
 * How hard a way is for a learner, from what is there: each thing that makes it harder counts points, and the more there are already, the less
 * one more adds. Everything is assumed (no source); the hour and who drives there are not known here.
 */
final readonly class Difficulty
{
    /** A stream this fast is ordinary in a town, m/s. */
    private const TOWN_MPS = 13.4112;

    /** A view that opens so far before the line is open, m. */
    private const OPEN_M = 20.0;

    /** A slip road so long gives time for everything, m. */
    private const LONG_SLIP_M = 300.0;

    /** Below it one would say "easy", from it "hard": of 1. */
    private const EASY = 0.35;

    private const HARD = 0.65;

    /**
     * @param  float  $score  0 (nothing to it) to under 1
     * @param  list<array{message: string, share: float}>  $reasons  what makes it so, the heaviest first; shares of the points, 1 together
     */
    private function __construct(public float $score, public array $reasons)
    {
    }

    /** @param  ?Approach  $approach  null where no approach is planned: one stays on the main road */
    public static function of(Way $way, ?Approach $approach): self
    {
        return self::fromPoints($approach === null ? self::withoutApproach($way->routine) : [
            ...self::ofTheRoutine($way, $approach), ...self::ofWhatIsMet($approach), ...self::ofWhatIsSeen($approach), ...self::ofTheRoad($way, $approach),
        ]);
    }

    /**
     * Of what is done at the speed of the road, without an approach to a line.
     *
     * @param  Speed  $speed  of the traffic, or the limit
     * @param  ?float  $slipMetres  length of the slip road, where there is one
     */
    public static function atSpeed(R $routine, Speed $speed, Gradient $slope, ?float $slipMetres): self
    {
        $fast = max(0.0, $speed->inMetresPerSecond() / self::TOWN_MPS - 1.0);
        $up = max(0.0, $slope->inRiseOverRun());
        $short = $slipMetres === null ? 0.0 : max(0.0, 1.0 - $slipMetres / self::LONG_SLIP_M);

        return self::fromPoints(match ($routine) {
            R::Join => [
                'a gap to choose and a speed to match at once' => 0.45, 'fast traffic to fit in with' => 0.2 * $fast, 'a short slip road' => 0.8 * $short,
                'uphill: less to gain speed with' => 5.0 * $up,
            ],
            R::Leave => ['speed to lose, and not before the slip road' => 0.2 + 0.15 * $fast, 'a short slip road' => 0.6 * $short],
            R::Overtake => ['the other side of the road, with somebody perhaps coming' => 0.7, 'a fast road' => 0.2 * $fast,
                'uphill: less to gain speed with' => 5.0 * $up],
            default => ['somebody beside or behind to find a gap among' => 0.3, 'fast traffic to fit in with' => 0.2 * $fast],
        });
    }

    /** @param  array<string, float>  $points  by reason */
    private static function fromPoints(array $points): self
    {
        $points = array_filter($points, static fn (float $one): bool => $one > 1e-9);
        arsort($points);
        $sum = array_sum($points);

        return new self(1.0 - exp(-$sum), array_map(
            static fn (string $message, float $one): array => ['message' => $message, 'share' => $one / $sum], array_keys($points), array_values($points),
        ));
    }

    public function words(): string
    {
        return match (true) {
            $this->score < self::EASY => 'easy',
            $this->score < self::HARD => 'middling',
            default => 'hard',
        };
    }

    /** An instructor's word on the scale of the score: the middle of what is called that; null for another word. */
    public static function middleOf(string $words): ?float
    {
        return match ($words) {
            'easy' => 0.5 * self::EASY,
            'middling' => 0.5 * (self::EASY + self::HARD),
            'hard' => 0.5 * (self::HARD + 1.0),
            default => null,
        };
    }

    /** @return array<string, float> points by reason */
    private static function ofTheRoutine(Way $way, Approach $approach): array
    {
        $across = $approach->demand->towards === Flank::Off;

        return match ($way->routine) {
            R::EmergeLeft, R::EmergeRight => $across ? ['two streams to find one gap in' => 0.55] : ['one stream to find a gap in' => 0.2],
            R::Cross => ['both streams to cross at once' => 0.5],
            R::TurnLeft, R::TurnRight => $across ? ['oncoming traffic to turn across' => 0.4] : ['people at the mouth to look for' => 0.12],
            R::CentreLaneLeft => ['a lane shared with those who come towards you' => 0.45],
            R::LightsLeft, R::LightsRight => $across && $way->shape !== JunctionShape::Stem
                ? ['a wait in the middle for those who come towards you' => 0.45] : ['people who cross as you turn' => 0.18],
            R::LightsAhead => ['the decision at amber' => 0.12],
            R::Roundabout => ['traffic on the roundabout to fit in with' => 0.25] + self::further($way->exitNumber ?? 1),
            R::MiniRoundabout => ['everybody close together' => 0.4] + self::further($way->exitNumber ?? 1),
            R::AllWayStop => ['whose turn it is' => 0.35],
            R::PassParked => ['doors and people between the cars' => 0.2],
            R::Meet => ['who goes and who waits' => 0.4],
            R::PassBus => ['people who step out round a bus' => 0.25],
            R::People => ['people who may step out' => 0.25],
            R::Hump => ['a hump to slow for' => 0.08],
            R::QueueStop => ['a queue to read' => 0.12],
            R::RailCrossing => ['rails that have to stay free' => 0.25],
            R::MoveOff => ['traffic to fit in with from standing' => 0.15],
            R::PullUpLeft, R::PullUpRight => ['a safe place to choose' => 0.1],
            R::PullUpRightReverse => ['oncoming traffic to cross twice, and backing against it' => 0.6],
            R::BackUp => ['backing straight, looking all round' => 0.25],
            default => ['people and cars that do not expect you' => 0.25],
        };
    }

    /** @return array<string, float> */
    private static function withoutApproach(R $routine): array
    {
        return match ($routine) {
            R::BayIn => ['a box to fit into' => 0.3],
            R::BayOut => ['backing out before the view opens' => 0.4],
            R::Ramp => ['a start uphill with others close behind' => 0.3],
            default => [],
        };
    }

    /** @return array<string, float> */
    private static function further(int $exit): array
    {
        return ['exits to count past' => 0.1 * ($exit - 1)];
    }

    /** @return array<string, float> */
    private static function ofWhatIsMet(Approach $approach): array
    {
        $met = $approach->junction->roadMet;
        if (! $approach->routine->emerges()) {
            return [];
        }
        $speed = $met->limit?->inMetresPerSecond() ?? self::TOWN_MPS;

        return [
            'fast traffic on the road you meet' => 0.5 * max(0.0, $speed / self::TOWN_MPS - 1.0),
            'more than one lane each way' => 0.25 * ($met->lanes - 1),
            'cars parked along the road you meet' => $met->parked === ParkedAlong::None ? 0.0 : ($met->parked === ParkedAlong::Both ? 0.25 : 0.15),
        ];
    }

    /** @return array<string, float> */
    private static function ofWhatIsSeen(Approach $approach): array
    {
        $short = array_map(static fn (TooLittleSeen $side): float => 1.0 - $side->seenMetres / $side->neededMetres, $approach->junction->tooLittleSeen);
        $late = $approach->demand->looksBeforeGoing() ? max(0.0, 1.0 - $approach->viewFromMetres / self::OPEN_M) : 0.0;

        return [
            'too little to be seen from the line' => 0.7 * array_sum($short),
            'a view that opens late' => 0.35 * $late + 0.08 * $approach->junction->viewBeyondMetres,
            'little to be seen ahead on the way' => $approach->ahead->seenMetres === null ? 0.0 : 0.4 * max(0.0, 1.0 - $approach->ahead->seenMetres / 60.0),
        ];
    }

    /** @return array<string, float> */
    private static function ofTheRoad(Way $way, Approach $approach): array
    {
        $slope = $approach->gradient->inRiseOverRun();
        $own = $approach->limit->inMetresPerSecond() / self::TOWN_MPS - 1.0;

        return [
            'uphill: a start without rolling back' => 5.0 * max(0.0, $slope),
            'downhill: more braking' => 3.0 * max(0.0, -$slope),
            'speed to lose before it' => 0.3 * max(0.0, $own),
            'the next turn close behind' => $way->then === null ? 0.0 : 0.4 * max(0.0, 1.0 - $way->then['metres'] / 100.0),
            'a sharp corner' => 0.3 * max(0.0, abs($way->turnDegrees) / 90.0 - 1.0),
            'cars parked before the line' => min(0.2, 0.15 * count($approach->parked)),
            'a path to cross before the line' => $approach->junction->pathBeforeMetres === null ? 0.0 : 0.2,
            'little room before the line' => $approach->room === null ? 0.0 : 0.4 * max(0.0, 1.0 - $approach->room->inMetres() / 100.0),
        ];
    }
}
