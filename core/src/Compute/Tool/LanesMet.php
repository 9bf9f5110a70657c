<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Lanes\Layout;
use NobleTurn\Core\Lanes\OnTheWay;
use NobleTurn\Core\Lanes\Route;
use NobleTurn\Core\Place\DirectionSign;
use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\Step;

/** Signs and steps in the order in which a learner meets them, from the first sign to the exit. */
final readonly class LanesMet
{
    public const KINDS = ['direction-sign', 'lane-sign', 'markings', 'change-lane', 'mirrors', 'signal', 'line', 'move', 'leave'];

    /** Where signs and markings stand where nothing is said, m before the line (assumed). */
    private const USUAL = ['direction_sign' => 150.0, 'lane_sign' => 80.0, 'markings' => 40.0];

    public OnTheWay $way;

    /** @param  list<array{where: string, side: ?string, off: string}>  $signals */
    public function __construct(private AskedLanes $asked, private Route $route, private array $signals, private Values $input)
    {
        $plan = ApproachPlanner::plan(ApproachReader::read($asked->approach($input)));
        $signal = $signals[0]['side'] === null || ! in_array(Step::Signal, $plan->approach->demand->steps(), true) ? null : $plan->step(Step::Signal)->window->bestMetres;
        $this->way = new OnTheWay($plan->chain->profile, $plan->step(Step::Mirrors)->window->bestMetres, $signal, $asked->onIt(), $asked->inLane, $route->approachLane, $plan->chain->timing->readSign);
    }

    /** @return list<array<string, mixed>> */
    public function rows(): array
    {
        $rows = [...$this->signs(), ...$this->approach(), ...($this->asked->layout === Layout::Roundabout ? $this->round() : [])];
        usort($rows, static fn (array $a, array $b): int => $b['at_m'] <=> $a['at_m']);

        return $rows;
    }

    /** @return list<Warning> */
    public function warnings(): array
    {
        $legible = $this->place('direction_sign') + DirectionSign::LEGIBLE_M;
        $unit = $this->asked->pack->lengthUnit();
        $found = [];
        if ($legible < $this->way->decideByMetres()) {
            $found[] = new Warning('sign-too-late', sprintf('The sign can be read from %s before the line; for this lane it would have to be %s. Say the lane, or let another usable one do.', $unit->place($legible), $unit->place($this->way->decideByMetres())), ['legible_m' => $legible]);
        }
        $onward = LanesPresenter::onward($this->asked, $this->route);
        if ($onward !== null && $onward['fits'] === false) {
            $found[] = new Warning('no-room-for-changes', sprintf('The way to the next junction is %s; its lane would take %s. Choose the lane for it here, or another way.', $unit->place($onward['distance_m']), $unit->place($onward['needed_m'])));
        }

        return $found;
    }

    /** @return list<Assumption> */
    public function assumptions(): array
    {
        return [
            new Assumption('reading a sign', $this->way->readSeconds, 's', Source::assumed()),
            CommonFields::default('sign legible from', DirectionSign::LEGIBLE_M, 'm'),
            ...CommonFields::defaults($this->input, ...array_map(static fn (string $name): Assumption => CommonFields::default($name, self::USUAL[$name], 'm'), array_keys(self::USUAL))),
        ];
    }

    private function place(string $field): float
    {
        return $this->input->distance($field)?->inMetres() ?? self::USUAL[$field];
    }

    /** @return list<array<string, mixed>> */
    private function signs(): array
    {
        $to = $this->asked->target()->name;
        $painted = array_filter($this->asked->arm(0)->approach, static fn (array $names): bool => $names !== []) !== [];

        return [
            self::row('direction-sign', $this->place('direction_sign'), $this->way->secondsAt($this->place('direction_sign')), "{$to}: {$this->where()}"),
            ...($painted ? [
                self::row('lane-sign', $this->place('lane_sign'), $this->way->secondsAt($this->place('lane_sign')), "lane {$this->route->approachLane}: ".implode(', ', $this->asked->arm(0)->approach[$this->route->approachLane - 1] ?: [$to])),
                self::row('markings', $this->place('markings'), $this->way->secondsAt($this->place('markings')), 'the arrows confirm the lane'),
            ] : []),
        ];
    }

    private function where(): string
    {
        $clock = match ($this->asked->trip->clock()) {
            -1 => 'before twelve', 0 => 'at twelve', default => 'after twelve'
        };

        return $this->asked->layout === Layout::Junction ? $clock : 'exit '.$this->asked->trip->sectors.", {$clock}";
    }

    /** @return list<array<string, mixed>> */
    private function approach(): array
    {
        $rows = [];
        $side = ($this->route->approachLane > $this->asked->inLane ? Flank::Off : Flank::Near)->side($this->asked->pack)->value;
        $step = $this->route->approachLane <=> $this->asked->inLane;
        for ($n = 0; $n < $this->way->changes(); $n++) {
            $at = $this->way->changeMetres($n);
            $rows[] = self::row('change-lane', $at, $this->way->secondsAt($at), 'to lane '.($this->asked->inLane + ($n + 1) * $step), ['interior', "{$side}-mirror", "{$side}-shoulder"], $side);
        }
        $signal = $this->signals[0]['side'];
        $mirror = $signal ?? Flank::Near->side($this->asked->pack)->value;
        $rows[] = self::row('mirrors', $this->way->laneByMetres, $this->way->secondsAt($this->way->laneByMetres), 'for the junction', ['interior', "{$mirror}-mirror"]);
        if ($signal !== null && $this->way->signalMetres !== null) {
            $rows[] = self::row('signal', $this->way->signalMetres, $this->way->secondsAt($this->way->signalMetres), $signal, [], $signal);
        }
        $rows[] = self::row('line', 0.0, 0.0, 'give way, look, go');

        return $rows;
    }

    /** @return list<array<string, mixed>> */
    private function round(): array
    {
        $rows = [];
        foreach (LanesPresenter::path($this->asked, $this->route) as $stretch) {
            $begin = $this->asked->arm($stretch['sector'])->angle;
            $end = $this->asked->trip->sectors === $stretch['sector'] + 1 ? $this->asked->trip->angle : $this->asked->arm($stretch['sector'] + 1)->angle;
            $between = static fn (float $share): float => $begin + $share * ($end - $begin);
            if ($stretch['lane'] !== $stretch['to_lane']) {
                $side = ($stretch['to_lane'] < $stretch['lane'] ? Flank::Near : Flank::Off)->side($this->asked->pack)->value;
                $rows[] = $this->beyond($between(0.25), 'move', "to lane {$stretch['to_lane']}", array_slice($stretch['mirrors'], 0, 3), $side);
            }
            foreach ($this->signals as $signal) {
                if ($stretch['sector'] > 0 && $signal['where'] === $stretch['after'] && $signal['where'] !== 'approach') {
                    $rows[] = $this->beyond($between(0.1), 'signal', (string) $signal['side'], [], $signal['side']);
                }
            }
            if ($this->asked->trip->sectors === $stretch['sector'] + 1) {
                $rows[] = $this->beyond($between(0.75), 'leave', "into lane {$this->route->exitLane}", array_slice($stretch['mirrors'], -2));
            }
        }

        return $rows;
    }

    /**
     * @param  list<string>  $mirrors
     * @return array<string, mixed>
     */
    private function beyond(float $angle, string $kind, string $text, array $mirrors = [], ?string $side = null): array
    {
        $metres = -$this->asked->arc($angle);

        return ['angle_deg' => round($angle, 1)] + self::row($kind, $metres, $this->way->secondsAt($metres), $text, $mirrors, $side);
    }

    /**
     * @param  list<string>  $mirrors
     * @return array<string, mixed>
     */
    private static function row(string $kind, float $at, float $seconds, string $text, array $mirrors = [], ?string $side = null): array
    {
        return ['kind' => $kind, 'at_m' => round($at, 1), 'time_s' => round($seconds, 1), 'text' => $text, 'mirrors' => $mirrors, 'side' => $side, 'angle_deg' => null];
    }
}
