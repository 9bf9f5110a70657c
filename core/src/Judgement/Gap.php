<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Motion\PullAway;
use NobleTurn\Core\Rules\AsksOfOthers;
use NobleTurn\Core\Vehicle\Vehicle;

/** A gap held against a manoeuvre: both sides, what else has to be waited for, and the verdict. */
final readonly class Gap
{
    /** With so much in hand it is a clear go, s (assumed). */
    public const CLEAR = 1.0;

    /**
     * @param  non-empty-list<SideGap>  $sides
     * @param  list<string>  $waitFor  what else forbids going now, as sentences
     */
    public function __construct(
        public array $sides,
        public array $waitFor,
        public PullAway $ours,
        public Vehicle $vehicle,
        public float $otherMps,
        public float $delaySeconds,
        public float $publishedSeconds,
        /** What half of all drivers accept, front to front, s. */
        public float $acceptedSeconds,
        public float $straightMetres,
        public float $radiusMetres,
        /** Heading already turned at the line, radians. */
        public float $turnedRadians,
        /** Along the turn from there, m. */
        public float $arcMetres,
        public float $laneWidthMetres,
        public int $lanes,
        public AsksOfOthers $may,
        /** Time behind us that is enough once joined, s. */
        public float $headwaySeconds,
        /** Where somebody waits at the kerb: when one may ask for room. */
        public ?AskForRoom $ask = null,
    ) {
    }

    /** The side with least in hand. */
    public function worst(): SideGap
    {
        $worst = $this->sides[0];
        foreach ($this->sides as $side) {
            $worst = $side->marginSeconds() < $worst->marginSeconds() ? $side : $worst;
        }

        return $worst;
    }

    public function verdict(): string
    {
        return $this->waitFor === [] ? $this->worst()->verdict() : 'wait';
    }

    /** Seen so far along the road, whoever comes into view as we go has only to come off the gas, m. */
    public function sightMetres(): float
    {
        return max(array_map(static fn (SideGap $side): float => $side->neededSeconds(AsksOfOthers::OffGas), $this->sides)) * $this->otherMps;
    }

    public function message(): string
    {
        if ($this->waitFor !== []) {
            return 'Wait: '.lcfirst($this->waitFor[0]);
        }
        $worst = $this->worst();
        $gives = sprintf(
            '%.1f s from %s, %.1f s needed', round($worst->availableSeconds, 2),
            in_array($worst->from, ['ahead', 'behind'], true) ? $worst->from : "the {$worst->from}",
            round($worst->neededSeconds(), 2),
        );
        $them = match ($worst->asked()) {
            Asked::Nothing => 'Nobody has to change anything',
            Asked::OffGas => 'They would only ease off',
            Asked::Brake => 'They would have to brake '.Braking::feltAt($worst->askedMps2)->adverb(),
            Asked::Cannot => 'They could not avoid us',
        };

        return match ($worst->verdict()) {
            'go' => $worst->asked() === Asked::Nothing ? "Go: {$gives}." : "Go: {$gives}. {$them}.",
            'marginal' => "Only just: {$gives}. {$them}, and nothing is left over: take the next one.",
            default => $worst->asked() === Asked::OffGas
                ? "Not this one: {$gives}. {$them}; the next one asks nothing of anybody."
                : "Wait: {$gives}. {$them}.",
        };
    }

    /** The three figures a gap has, in one line. */
    public function figures(): string
    {
        $worst = $this->worst();
        $seconds = static fn (AsksOfOthers $asks): string => number_format($worst->neededSeconds($asks), 1).' s';

        return "Nobody has to change anything: {$seconds(AsksOfOthers::Nothing)}. They only ease off: {$seconds(AsksOfOthers::OffGas)}. "
            ."Road designers use {$seconds(AsksOfOthers::Design)}.";
    }
}
