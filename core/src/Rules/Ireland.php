<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Surface;

/** Ireland: traffic keeps left, limits in km/h, distances in metres. */
final readonly class Ireland implements RulePack
{
    use KeepsLeft;

    public function code(): string
    {
        return 'ie';
    }

    public function name(): string
    {
        return 'Ireland';
    }

    public function timeZone(): string
    {
        return 'Europe/Dublin';
    }

    public function version(): string
    {
        return '2026.2';
    }

    public function speedUnit(): SpeedUnit
    {
        return SpeedUnit::KilometresPerHour;
    }

    public function townLimit(): Speed
    {
        return Speed::ofKilometresPerHour(50.0);
    }

    public function usualLimits(): array
    {
        return [30.0, 50.0, 60.0, 80.0, 100.0, 120.0];
    }

    public function followingGapSource(Surface $surface): Source
    {
        return Source::fromMemory('Rules of the Road');
    }

    /** Half the limit’s number, read as metres: 50 km/h -> 25 m. */
    public function numberRuleForSignal(Speed $limit): Distance
    {
        return Distance::ofMetres($limit->inKilometresPerHour() / 2.0);
    }

    public function numberRuleName(): string
    {
        return 'half the limit’s number in metres';
    }

    public function numberRuleSource(): Source
    {
        return Source::assumed();
    }

    public function amberSource(): Source
    {
        return Source::fromMemory('Rules of the Road');
    }

    public function redAndAmber(): ?Duration
    {
        return null;
    }

    public function stopLineSource(): Source
    {
        return Source::fromMemory('Rules of the Road');
    }

    public function peopleRule(): PeopleRule
    {
        return PeopleRule::Begun;
    }

    public function peopleRuleSource(): Source
    {
        return Source::fromMemory('Rules of the Road');
    }

    public function unmarkedRule(): TurnRule
    {
        return TurnRule::FromTheRight;
    }

    public function unmarkedRuleSource(): Source
    {
        return Source::fromMemory('Rules of the Road');
    }

    public function words(): array
    {
        return ['pavement' => 'footpath', 'zebra' => 'pedestrian crossing'];
    }

    public function severity(Effect $effect): string
    {
        return match ($effect) {
            Effect::Nobody => 'grade 1',
            Effect::Potential => 'grade 2',
            Effect::Affected, Effect::Intervened => 'grade 3',
        };
    }

    public function deviceRule(): string
    {
        return 'While the car moves, the driver may not hold a phone or tablet here. Be as strict with yourself: press this key only on a device in a fixed '
            .'mount, or with a clicker.';
    }

    public function deviceRuleSource(): Source
    {
        return Source::fromMemory('Rules of the Road');
    }

    public function figures(): array
    {
        return [
            new Figure('keeps', 'Side of the road', 'left', Source::fromMemory('Rules of the Road')),
            new Figure('units', 'Speed and short distances', 'km/h; metres', Source::fromMemory('Rules of the Road')),
            new Figure('limits', 'Usual limits', '30 or 50 km/h in town, 60 or 80 rural, 100 national, 120 motorway', Source::fromMemory('Rules of the Road')),
            new Figure('signal', 'Signal rule of thumb', 'half the limit’s number in metres: 50 km/h, 25 m', Source::assumed()),
            new Figure('order', 'Mirrors and signal', 'mirrors first', Source::fromMemory('Rules of the Road')),
            new Figure('gap', 'Gap dry, wet, ice', '2 s, 4 s, up to 20 s', Source::fromMemory('Rules of the Road')),
            new Figure('stopping', 'Stopping distances', 'the road authority’s own table', Source::fromMemory('Rules of the Road')),
            new Figure('amber', 'Amber', '3 s; no red and amber together', Source::fromMemory('Rules of the Road')),
            new Figure('amber-decision', 'Reaction and slowing for an amber decision', '1.0 s and 3.0 m/s²', Source::assumed()),
            new Figure('on-amber', 'On amber', 'stop unless that is unsafe', Source::fromMemory('Rules of the Road')),
            new Figure('red', 'Turn on red', 'never', Source::fromMemory('Rules of the Road')),
            new Figure(
                'people', 'People crossing the road being entered', 'give way to those who have begun to cross',
                Source::fromMemory('Rules of the Road'),
            ),
            new Figure('unmarked', 'Crossroads without signs', 'from the right first', $this->unmarkedRuleSource()),
            new Figure('walking', 'Walking speed', '1.2 m/s', Source::assumed()),
            new Figure('roundabout', 'Roundabout priority', 'traffic from the right', Source::fromMemory('Rules of the Road')),
            new Figure(
                'roundabout-signal', 'Roundabout signals', 'by the clock: before 12 left or none, after 12 right; left past the exit before ours',
                Source::fromMemory('Rules of the Road'),
            ),
            new Figure('markers', 'Countdown markers', '300, 200, 100 m', Source::fromMemory('Rules of the Road')),
            new Figure('cycles', 'Passing a cycle', '1 m up to 50 km/h, 1.5 m above', Source::fromMemory('Rules of the Road')),
            new Figure('pull-up', 'Pull up on the right', 'not an exercise', Source::fromMemory('driving test guidance')),
            new Figure('rail', 'Rail crossing', 'stop at the line on amber and red', Source::fromMemory('Rules of the Road')),
            new Figure('device', 'Hand-held device', 'not for the driver; be as strict with the instructor', $this->deviceRuleSource()),
            new Figure(
                'record', 'Learner’s record asked by law', '12 one-hour lessons of essential training, six months',
                Source::fromMemory('essential driver training rules'),
            ),
            new Figure('eyesight', 'Eyesight', 'by optician’s report', Source::fromMemory('driving licence rules')),
            new Figure('companion', 'Accompanying driver', 'licence held 2 years', Source::fromMemory('driving licence rules')),
            new Figure('scheme', 'Marking scheme', 'ie-car: no grade 3, fewer than 9 grade 2', Source::fromMemory('driving test guidance')),
        ];
    }

    public function askedByLaw(): array
    {
        return [AskedByLaw::lessons(
            'essential-training', 'Lessons of essential training', 12, 60, Source::fromMemory('essential driver training rules'),
            'And six months since the learner’s permit was given: look at the permit.',
        )];
    }

    public function exitSigns(): ExitSigns
    {
        return ExitSigns::withMarkers(
            Distance::ofMetres(1000.0), '1 km', Distance::ofMetres(500.0), '500 m', [300, 200, 100], 'm', 1.0,
            Source::fromMemory('Rules of the Road'),
        );
    }

    public function lacks(): array
    {
        return [RoutineCode::PullUpRightReverse, RoutineCode::AllWayStop, RoutineCode::CentreLaneLeft, RoutineCode::Alley, RoutineCode::BackUp];
    }

    public function usualAnswers(): array
    {
        return [];
    }

    public function roundaboutSignalSource(): Source
    {
        return Source::fromMemory('Rules of the Road');
    }
}
