<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Place\Control;

/**
 * Where roads meet, or what lies along one, drawn once: its arms lie clockwise from north. Every way through it, in by one arm and out by
 * another, follows from it.
 */
final readonly class Site
{
    /** Two arms nearer each other than this cannot be told apart by a driver, degrees (assumed). */
    private const LEAST_APART = 10.0;

    private const COMPASS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'];

    /** @param  list<Arm>  $arms clockwise from north */
    private function __construct(public SiteKind $kind, public array $arms)
    {
    }

    /**
     * @param  list<Arm>  $arms in any order
     *
     * @throws BadInput where they cannot meet like that; fields are named as `arms.2.bearing_deg`, by the order given
     */
    public static function of(SiteKind $kind, array $arms): self
    {
        [$least, $most] = $kind->arms();
        if (count($arms) < $least || count($arms) > $most) {
            throw BadInput::field('arms', 'must be '.($least === $most ? $least : "{$least} to {$most}")." roads at {$kind->words()}.");
        }
        $errors = [];
        foreach ($arms as $i => $arm) {
            foreach (array_slice($arms, 0, $i) as $other) {
                if ($arm->id === $other->id) {
                    $errors["arms.{$i}.id"][] = "must not be given twice ({$arm->id}).";
                } elseif (abs(self::between($arm->bearingDegrees, $other->bearingDegrees)) < self::LEAST_APART) {
                    $errors["arms.{$i}.bearing_deg"][] = sprintf('must lie %g degrees or more from that of %s.', self::LEAST_APART, $other->name);
                }
            }
            if (! $arm->leadsIn() && ! $arm->leadsOut()) {
                $errors["arms.{$i}.lanes_in"][] = "must not be 0 beside lanes_out 0: nobody could drive on {$arm->name}.";
            }
            foreach (ArmRules::broken($kind, $arm) as $field => $sentence) {
                $errors["arms.{$i}.{$field}"][] = $sentence;
            }
        }
        $errors += $kind === SiteKind::Slip ? ArmRules::brokenBySlip($arms) : [];
        if ($errors !== []) {
            throw BadInput::of($errors);
        }
        usort($arms, static fn (Arm $a, Arm $b): int => $a->bearingDegrees <=> $b->bearingDegrees);

        return new self($kind, $arms);
    }

    /** @throws BadInput */
    public function arm(string $id, string $field): Arm
    {
        foreach ($this->arms as $arm) {
            if ($arm->id === $id) {
                return $arm;
            }
        }
        throw BadInput::field($field, 'must be one of '.implode(', ', array_map(static fn (Arm $arm): string => $arm->id, $this->arms)).'.');
    }

    /** As it is told from the others: a road that comes twice with its compass point. */
    public function called(Arm $arm): string
    {
        $alike = array_filter($this->arms, static fn (Arm $other): bool => $other->name === $arm->name);
        $point = self::compass($arm->bearingDegrees);

        return $arm->name.(count($alike) > 1 ? " ({$point})" : '');
    }

    /** How far one turns on the way from one arm to another, degrees: 0 straight on, + to the right, from -180 to 180. */
    public function turn(Arm $from, Arm $to): float
    {
        return self::between($from->bearingDegrees + 180.0, $to->bearingDegrees);
    }

    /**
     * The other arms as they lie before a driver who comes in by this one, from the left round to the right.
     *
     * @return list<Arm>
     */
    public function before(Arm $from): array
    {
        $at = array_search($from, $this->arms, true);

        return [...array_slice($this->arms, (int) $at + 1), ...array_slice($this->arms, 0, (int) $at)];
    }

    /**
     * The road that goes on: two arms without a line, the straightest of any two. Null where lines or lights stop all, or where four or more
     * meet without a line: then nobody has priority. Of three without a line the third ends in the other two.
     *
     * @return ?array{Arm, Arm}
     */
    public function mainRoad(): ?array
    {
        if ($this->kind !== SiteKind::Junction) {
            return null;
        }
        $free = array_values(array_filter($this->arms, static fn (Arm $arm): bool => $arm->control === Control::None && ! $arm->isAlley));
        if (count($free) > 3 && count($free) === count($this->arms)) {
            return null;
        }
        $main = null;
        $bent = INF;
        foreach ($free as $i => $one) {
            foreach (array_slice($free, $i + 1) as $other) {
                $bend = abs($this->turn($one, $other));
                // The same bend seen from a hair's breadth away is the same road.
                if ($bend < $bent - 1e-9) {
                    [$main, $bent] = [[$one, $other], $bend];
                }
            }
        }

        return $main;
    }

    /** From one direction to another, degrees from over -180 to 180, + clockwise. */
    private static function between(float $from, float $to): float
    {
        $turn = fmod($to - $from, 360.0);

        return match (true) {
            $turn > 180.0 => $turn - 360.0,
            $turn <= -180.0 => $turn + 360.0,
            default => $turn,
        };
    }

    /** Which way a bearing points, in words: the nearest of eight. */
    public static function compass(float $degrees): string
    {
        return self::COMPASS[(int) round($degrees / 45.0) % 8];
    }
}
