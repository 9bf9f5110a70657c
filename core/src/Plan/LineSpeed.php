<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\Island;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Arrival;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\JunctionHabit;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Vehicle\Handling;

/** The speed wanted at the line, or where steering starts, with the reason for it. */
final readonly class LineSpeed
{
    /** Crawl at a give-way line, m/s (common practice). */
    public const CRAWL = 2.0;

    /** "About 15 mph or less" round an ordinary left turn (common practice). */
    public const TURN_RULE_MPH = 15.0;

    private function __construct(public float $metresPerSecond, public Assumption $assumption)
    {
    }

    /** @throws BadInput where the speed asked for contradicts the place */
    public static function for(Approach $approach, Timing $timing): self
    {
        $line = self::alone($approach, $timing);
        // What crosses our way before the line has made us slow already.
        $path = $approach->junction->pathBeforeMetres !== null && $line->metresPerSecond > self::CRAWL;

        return $path ? self::because(self::CRAWL, 'speed at the line: the path before it comes first', Source::commonPractice()) : $line;
    }

    private static function alone(Approach $approach, Timing $timing): self
    {
        $given = $approach->lineSpeed?->inMetresPerSecond();
        $arriving = $approach->speed->inMetresPerSecond();
        if ($given !== null) {
            return self::asAsked($given, $arriving, $approach->control);
        }
        if ($approach->control === Control::Stop) {
            return self::because(0.0, 'speed at the line: a stop line is a complete stop', $approach->pack->stopLineSource());
        }

        return match ($approach->demand->arrival) {
            Arrival::Stop => self::because(0.0, 'speed at the line: this routine stops there', Source::commonPractice()),
            Arrival::Turning => self::turning($approach, $arriving),
            Arrival::Line => self::atTheLine($approach, $timing, $arriving),
            Arrival::Slow => self::because(
                min($approach->demand->slowToMps ?? $arriving, $arriving), 'speed where it begins: slow enough for what may come', Source::assumed(),
            ),
            Arrival::Ready => self::because(self::ready($approach, $arriving), 'speed at the lights: where a change finds an answer', Source::assumed()),
            Arrival::Keep => self::because($arriving, 'speed at the line: kept', Source::commonPractice()),
        };
    }

    private static function turning(Approach $approach, float $arriving): self
    {
        $comfortable = min(
            sqrt(Handling::of($approach->vehicle)->sidewaysMps2 * $approach->turnRadius->inMetres()),
            Speed::ofMilesPerHour(self::TURN_RULE_MPH)->inMetresPerSecond(),
        );

        return self::because(min($comfortable, $arriving), 'speed where steering starts: comfortable at this radius', Source::assumed());
    }

    private static function atTheLine(Approach $approach, Timing $timing, float $arriving): self
    {
        if (self::stopsFirst($approach)) {
            return self::because(0.0, 'speed at the line: stop first, by the practice and the learner’s level', Source::commonPractice());
        }
        if ($approach->junction->tooLittleSeen !== []) {
            return self::because(0.0, 'speed at the line: too little is seen from it to go on the move', Source::commonPractice());
        }
        if ($approach->junction->viewBeyondMetres > 0.0) {
            return self::because(
                min(Creep::lineMps($approach->junction->viewBeyondMetres), $arriving), 'speed at the line: walking pace, the view opens beyond it',
                Source::commonPractice(),
            );
        }
        if ($approach->viewFromMetres < self::CRAWL * $timing->lookAndDecideSeconds) {
            return self::because(0.0, 'speed at the line: the view opens too late to decide on the move', Source::commonPractice());
        }

        return self::because(min(self::CRAWL, $arriving), 'speed at the line: walking pace', Source::commonPractice());
    }

    private static function asAsked(float $given, float $arriving, Control $control): self
    {
        if ($given > $arriving + 1e-9) {
            throw BadInput::field('line_speed', 'must not exceed the approach speed.');
        }
        if ($control === Control::Stop && $given > 0.0) {
            throw BadInput::field('line_speed', 'must be 0 at a stop line.');
        }

        return self::because($given, 'speed at the line', Source::given());
    }

    /** Eased to where amber leaves no stretch without an answer, yet never below four fifths of the speed (assumed): dawdling helps nobody. */
    private static function ready(Approach $approach, float $arriving): float
    {
        return min($arriving, max(0.8 * $arriving, PointOfNoReturn::stretch($approach, $arriving)->vanishingMps()));
    }

    /** A question of T-junctions: a roundabout is rolled up to by everybody. */
    private static function stopsFirst(Approach $approach): bool
    {
        if (Island::of($approach->routine) !== null) {
            return false;
        }

        return match ($approach->practice->junction) {
            JunctionHabit::StopFirst => true,
            JunctionHabit::ReadyToRoll => false,
            JunctionHabit::ByLevel => $approach->level === LearnerLevel::Beginner,
        };
    }

    private static function because(float $metresPerSecond, string $name, Source $source): self
    {
        return new self($metresPerSecond, new Assumption($name, round($metresPerSecond, 3), 'm/s', $source));
    }
}
