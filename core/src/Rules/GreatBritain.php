<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Surface;

/** Great Britain: traffic keeps left, limits in mph, short distances in metres in class and yards on signs. */
final readonly class GreatBritain implements RulePack
{
    use KeepsLeft;

    public function code(): string
    {
        return 'gb';
    }

    public function name(): string
    {
        return 'Great Britain';
    }

    public function timeZone(): string
    {
        return 'Europe/London';
    }

    public function version(): string
    {
        return '2026.2';
    }

    public function speedUnit(): SpeedUnit
    {
        return SpeedUnit::MilesPerHour;
    }

    public function townLimit(): Speed
    {
        return Speed::ofMilesPerHour(30.0);
    }

    public function usualLimits(): array
    {
        return [20.0, 30.0, 40.0, 50.0, 60.0, 70.0];
    }

    public function followingGapSource(Surface $surface): Source
    {
        return Source::published('Highway Code, rule 126');
    }

    /** The limit’s number, read as metres: 30 mph -> 30 m. */
    public function numberRuleForSignal(Speed $limit): Distance
    {
        return Distance::ofMetres($limit->inMilesPerHour());
    }

    public function numberRuleName(): string
    {
        return 'the limit’s number in metres';
    }

    public function numberRuleSource(): Source
    {
        return Source::commonPractice();
    }

    public function amberSource(): Source
    {
        return Source::fromMemory('Traffic Signs Manual, chapter 6');
    }

    public function redAndAmber(): Duration
    {
        return Duration::ofSeconds(2.0);
    }

    public function stopLineSource(): Source
    {
        return Source::published('Highway Code, rule 171');
    }

    public function peopleRule(): PeopleRule
    {
        return PeopleRule::Waiting;
    }

    public function peopleRuleSource(): Source
    {
        return Source::fromMemory('Highway Code, rules H2 and 170');
    }

    public function unmarkedRule(): TurnRule
    {
        return TurnRule::Nobody;
    }

    public function unmarkedRuleSource(): Source
    {
        return Source::fromMemory('Highway Code, rule 146');
    }

    public function words(): array
    {
        return [];
    }

    public function severity(Effect $effect): string
    {
        return match ($effect) {
            Effect::Nobody, Effect::Potential => 'driving fault',
            Effect::Affected => 'serious fault',
            Effect::Intervened => 'dangerous fault',
        };
    }

    public function deviceRule(): string
    {
        return 'While the car moves, nobody who drives or supervises a learner may hold a phone or tablet here: press this key only on a device in a fixed '
            .'mount, or with a clicker.';
    }

    public function deviceRuleSource(): Source
    {
        return Source::fromMemory('Highway Code, rule 149');
    }

    public function figures(): array
    {
        return [
            new Figure('keeps', 'Side of the road', 'left', Source::fromMemory('Highway Code, rule 160')),
            new Figure('units', 'Speed and short distances', 'mph; yards on signs, metres in class', Source::commonPractice()),
            new Figure('limits', 'Usual limits', '20 or 30 mph in town, 60 single, 70 dual and motorway', Source::fromMemory('Highway Code, rule 124')),
            new Figure('signal', 'Signal rule of thumb', 'the limit’s number in metres before the line', Source::commonPractice()),
            new Figure('order', 'Mirrors and signal', 'mirrors first', Source::fromMemory('Highway Code, rule 103')),
            new Figure('gap', 'Gap dry, wet, ice', '2 s, 4 s, up to 20 s', Source::published('Highway Code, rule 126')),
            new Figure('stopping', 'Stopping distances', 'table of rule 126', Source::published('Highway Code, rule 126')),
            new Figure('amber', 'Amber', '3 s; red and amber together 2 s before green', Source::fromMemory('Traffic Signs Manual, chapter 6')),
            new Figure('amber-decision', 'Reaction and slowing for an amber decision', '1.0 s and 3.0 m/s²', Source::assumed()),
            new Figure('on-amber', 'On amber', 'stop unless so close that stopping might cause a collision', Source::fromMemory('Highway Code, light signals')),
            new Figure('red', 'Turn on red', 'never', Source::fromMemory('Highway Code, light signals')),
            new Figure(
                'people', 'People crossing the road being entered', 'give way also to those waiting',
                Source::fromMemory('Highway Code, rules H2 and 170'),
            ),
            new Figure('unmarked', 'Crossroads without signs', 'nobody has priority', $this->unmarkedRuleSource()),
            new Figure('walking', 'Walking speed', '1.2 m/s', Source::assumed()),
            new Figure('roundabout', 'Roundabout priority', 'traffic from the right', Source::fromMemory('Highway Code, rule 185')),
            new Figure(
                'roundabout-signal', 'Roundabout signals',
                'left for the first exit, none on the approach straight over, right for further round; left past the exit before ours',
                Source::fromMemory('Highway Code, rule 186'),
            ),
            new Figure('markers', 'Countdown markers', '300, 200, 100 yd', Source::fromMemory('Highway Code, information signs')),
            new Figure('cycles', 'Passing a cycle', 'at least 1.5 m at up to 30 mph, more when faster', Source::fromMemory('Highway Code, rule 163')),
            new Figure(
                'pull-up', 'Pull up on the right', 'an exercise of the test; never at night against the flow',
                Source::fromMemory('Highway Code, rule 248'),
            ),
            new Figure('rail', 'Rail crossing', 'stop at the line on amber and red', Source::fromMemory('Highway Code, rule 293')),
            new Figure('device', 'Hand-held device', 'not for the driver nor for the person supervising a learner', $this->deviceRuleSource()),
            new Figure('record', 'Learner’s record asked by law', 'none', Source::fromMemory('driving licence rules')),
            new Figure('eyesight', 'Eyesight', 'number plate at 20 m', Source::fromMemory('Highway Code, rule 92')),
            new Figure('companion', 'Accompanying driver', '21 or over, licence held 3 years', Source::fromMemory('driving licence rules')),
            new Figure('scheme', 'Marking scheme', 'gb-car: at most 15 driving faults, none serious or dangerous', Source::fromMemory('driving test guidance')),
        ];
    }

    public function askedByLaw(): array
    {
        return [];
    }

    public function exitSigns(): ExitSigns
    {
        $mile = 1760.0 * Distance::METRES_IN_A_YARD;

        return ExitSigns::withMarkers(
            Distance::ofMetres($mile), '1 mile', Distance::ofMetres($mile / 2.0), 'half a mile', [300, 200, 100], 'yd', Distance::METRES_IN_A_YARD,
            Source::fromMemory('Highway Code, information signs'),
        );
    }

    public function lacks(): array
    {
        return [RoutineCode::AllWayStop, RoutineCode::CentreLaneLeft, RoutineCode::Alley, RoutineCode::BackUp];
    }

    public function usualAnswers(): array
    {
        return [];
    }

    public function roundaboutSignalSource(): Source
    {
        return Source::fromMemory('Highway Code, rule 186');
    }
}
