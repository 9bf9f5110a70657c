<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\Performance;

/** An overtaking held against the view there is: whether to go, and each step with its second. */
final readonly class OvertakePlan
{
    /** Within this share of the sight needed it is a near thing (assumed). */
    private const NEAR_SHARE = 1.15;

    /** Somebody worth overtaking drives this share of the limit (assumed). */
    public const SLOWER_SHARE = 2.0 / 3.0;

    /** Less than this under the limit the other is hardly worth it, m/s: 10 mph (assumed). */
    private const LITTLE_MPS = 4.5;

    /** Seconds before leaving the lane (assumed): mirrors, closer up, gear, mirrors and shoulder again, signal; and before being back in it. */
    private const STEPS_S = ['mirrors' => -9.0, 'closer' => -7.0, 'gear' => -4.5, 'again' => -3.5, 'signal' => -2.5, 'back' => 1.5];

    /** A signal on the way back comes so long after its mirror, s (assumed). */
    private const AFTER_THE_MIRROR_S = 0.5;

    /** Our way, the oncoming vehicle's, and a margin; null where nobody can come the other way, infinite where it is never done. */
    public ?float $sightNeededMetres;

    public string $verdict;

    public function __construct(
        public Overtaking $overtaking,
        private RulePack $pack,
        /** How far the road is seen; null where it was not said. */
        public ?float $sightMetres,
        /** On a dual carriageway: nobody comes the other way. */
        public bool $rehearsal,
        private Practice $practice,
        /** Somebody behind gains by a signal on the way back in. */
        private bool $followed = true,
        /** We have only just turned in behind it: by the time the routine is done, the place where the view ends has come nearer. */
        public bool $turningIn = false,
    ) {
        $routine = $turningIn ? -self::STEPS_S['mirrors'] * $overtaking->otherMps : 0.0;
        $this->sightNeededMetres = $rehearsal ? null : $overtaking->sightNeededMetres() + $routine;
        $this->verdict = $this->verdict();
    }

    /** Revs on return; null where it is never done. */
    public function rpmAtEnd(): ?float
    {
        $end = $this->overtaking->seconds;

        return $end === null ? null : (new Performance($this->overtaking->vehicle))->rpm(
            Speed::ofMetresPerSecond($this->overtaking->run->mpsAt($end)), $this->overtaking->run->gearAt($end),
        );
    }

    /** Whether the gear held runs out at the red line. */
    public function overRevs(): bool
    {
        $rpm = $this->rpmAtEnd();

        return $rpm !== null && $rpm >= $this->overtaking->vehicle->engine->redLineRpm - 1.0;
    }

    public function gainsLittle(): bool
    {
        return $this->overtaking->limitMps - $this->overtaking->otherMps < self::LITTLE_MPS;
    }

    /** @return list<array{seconds: float, step: string, text: string}> in their order; seconds from leaving the lane */
    public function steps(): array
    {
        $off = Flank::Off->side($this->pack)->value;
        $near = Flank::Near->side($this->pack)->value;
        $steps = [
            ['seconds' => self::STEPS_S['mirrors'], 'step' => 'mirrors', 'text' => "interior, {$off}: nobody about to pass us"],
            ['seconds' => self::STEPS_S['closer'], 'step' => 'position', 'text' => $this->place($off)],
            ['seconds' => self::STEPS_S['gear'], 'step' => 'gear', 'text' => "{$this->overtaking->gear}: the one that pulls"],
            ['seconds' => self::STEPS_S['again'], 'step' => 'mirrors', 'text' => "{$off} again, shoulder"],
            ['seconds' => self::STEPS_S['signal'], 'step' => 'signal', 'text' => $off],
            ['seconds' => 0.0, 'step' => 'speed', 'text' => Wording::part($this->pack, 'still clear: {accelerator} fully down')],
        ];
        $end = $this->overtaking->seconds;

        return $end === null ? $steps : [
            ...$steps,
            ['seconds' => max(0.0, $end - self::STEPS_S['back']), 'step' => 'mirrors', 'text' => "interior, {$near}: the passed one is seen behind"],
            ['seconds' => $end, 'step' => 'position', 'text' => "back {$near}, gap opened again"],
        ];
    }

    private function place(string $off): string
    {
        return $this->practice->answer('overtake_place') === 'closed-up'
            ? "up to half a second behind, a little {$off}"
            : "kept back, a little {$off}: the view past it is longest from there";
    }

    public function isOnIce(): bool
    {
        return $this->overtaking->surface === Surface::Ice;
    }

    /** @return list<array{seconds: float, side: Side, text: string}> each after its mirrors; on the way back as it is taught */
    public function signals(): array
    {
        $end = $this->overtaking->seconds;
        $back = match ($this->practice->answer('return_signal')) {
            'always' => 'back in, every time',
            'mirror-only' => null,
            default => $this->followed ? 'back in, where somebody behind gains by it' : null,
        };

        return [
            ['seconds' => self::STEPS_S['signal'], 'side' => Flank::Off->side($this->pack), 'text' => 'out, after mirrors and shoulder'],
            ...($end === null || $back === null
                ? []
                : [['seconds' => max(0.0, $end - self::STEPS_S['back'] + self::AFTER_THE_MIRROR_S), 'side' => Flank::Near->side($this->pack),
                    'text' => $back]]),
        ];
    }

    private function verdict(): string
    {
        return match (true) {
            $this->overtaking->seconds === null, $this->isOnIce() => 'drop-back',
            $this->rehearsal => 'go',
            $this->sightMetres === null => 'unknown',
            $this->sightNeededMetres === null || $this->sightMetres >= self::NEAR_SHARE * $this->sightNeededMetres => 'go',
            $this->sightMetres >= $this->sightNeededMetres => 'marginal',
            default => 'drop-back',
        };
    }
}
