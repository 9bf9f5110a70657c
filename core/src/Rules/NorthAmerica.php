<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Surface;

/** North America, after California where states differ: traffic keeps right, limits in mph, short distances in feet. */
final readonly class NorthAmerica implements RulePack
{
    public function code(): string
    {
        return 'na';
    }

    public function name(): string
    {
        return 'North America';
    }

    public function timeZone(): string
    {
        return 'America/Chicago';
    }

    public function version(): string
    {
        return '2026.2';
    }

    public function keeps(): Side
    {
        return Side::Right;
    }

    public function speedUnit(): SpeedUnit
    {
        return SpeedUnit::MilesPerHour;
    }

    public function lengthUnit(): LengthUnit
    {
        return LengthUnit::Feet;
    }

    public function townLimit(): Speed
    {
        return Speed::ofMilesPerHour(25.0);
    }

    public function usualLimits(): array
    {
        return [15.0, 25.0, 35.0, 45.0, 55.0, 65.0];
    }

    /** Three seconds; doubled in the wet and twenty on ice are assumed. */
    public function followingGap(Surface $surface): Duration
    {
        return Duration::ofSeconds(match ($surface) {
            Surface::Dry => 3.0,
            Surface::Wet => 6.0,
            Surface::Ice => 20.0,
        });
    }

    public function followingGapSource(Surface $surface): Source
    {
        return $surface === Surface::Dry ? Source::fromMemory('state handbook') : Source::assumed();
    }

    /** At least 100 ft before the turn, whatever the limit. */
    public function numberRuleForSignal(Speed $limit): Distance
    {
        return Distance::ofMetres(100.0 * Distance::METRES_IN_A_FOOT);
    }

    public function numberRuleName(): string
    {
        return 'the 100 ft the law asks for';
    }

    public function numberRuleIsLeast(): bool
    {
        return true;
    }

    public function numberRuleSource(): Source
    {
        return Source::fromMemory('state vehicle code and handbook');
    }

    /** t = 1 s + v / (2 a), between 3 and 6 s. */
    public function longGap(): LongGap
    {
        return LongGap::ByLength;
    }

    public function stoppingFigures(): StoppingFigures
    {
        return StoppingFigures::RoadDesign;
    }

    public function amber(Speed $approach): Duration
    {
        return Duration::ofSeconds(min(6.0, max(3.0, 1.0 + $approach->inMetresPerSecond() / (2.0 * $this->amberDeceleration()->inMetresPerSecondSquared()))));
    }

    public function amberSource(): Source
    {
        return Source::fromMemory('ITE, change intervals');
    }

    public function amberReaction(): Duration
    {
        return Duration::ofSeconds(1.0);
    }

    /** 10 ft/s². */
    public function amberDeceleration(): Acceleration
    {
        return Acceleration::ofMetresPerSecondSquared(3.05);
    }

    public function amberDecisionSource(): Source
    {
        return Source::fromMemory('ITE, change intervals');
    }

    public function redAndAmber(): ?Duration
    {
        return null;
    }

    public function stopLineSource(): Source
    {
        return Source::fromMemory('state vehicle code');
    }

    public function turnOnRed(): bool
    {
        return true;
    }

    public function peopleRule(): PeopleRule
    {
        return PeopleRule::InCrossing;
    }

    public function peopleRuleSource(): Source
    {
        return Source::fromMemory('state vehicle code');
    }

    public function unmarkedRule(): TurnRule
    {
        return TurnRule::Arrival;
    }

    public function unmarkedRuleSource(): Source
    {
        return Source::fromMemory('state handbook');
    }

    public function walkingSpeed(): Speed
    {
        return Speed::ofMetresPerSecond(1.1);
    }

    public function walkingSpeedSource(): Source
    {
        return Source::fromMemory('MUTCD, 3.5 ft/s');
    }

    public function signalsOnApproachToRoundabout(): bool
    {
        return false;
    }

    public function turnsAcrossInto(): Flank
    {
        return Flank::Off;
    }

    public function wheelTaught(Flank $towards): array
    {
        // Nearly one turn round the near corner, about three quarters round the far one.
        return $towards === Flank::Near ? [0.85, 1.0] : [0.65, 0.85];
    }

    public function looksOverTheShoulderBeforeTurns(): bool
    {
        return true;
    }

    public function turnersShare(): bool
    {
        return true;
    }

    public function words(): array
    {
        return [
            'give way' => 'yield',
            'giving way' => 'yielding',
            'give-way line' => 'yield line',
            'give-way' => 'yield',
            'slip road' => 'ramp',
            'marker' => 'last sign before it',
            'slip' => 'ramp',
            'dual carriageway' => 'divided highway',
            'motorway' => 'freeway',
            'amber' => 'yellow',
            'kerb' => 'curb',
            'pavement' => 'sidewalk',
            'centre' => 'center',
            'lorry' => 'truck',
            'overtake' => 'pass',
            'overtaking' => 'passing',
            'overtakes' => 'passes',
            'windscreen' => 'windshield',
            'number plate' => 'license plate',
            'accelerator' => 'gas',
            'bonnet' => 'hood',
            'car park' => 'parking lot',
            'tyre' => 'tire',
            'tyres' => 'tires',
            'crossroads' => 'intersection',
            'T-junction' => 'T-intersection',
            'junction' => 'intersection',
            'junctions' => 'intersections',
            'zebra' => 'crosswalk',
            'gearbox' => 'transmission',
            'petrol station' => 'gas station',
            'indicator' => 'turn signal',
            'pull up' => 'pull over',
            'hazards' => 'hazard lights',
        ];
    }

    public function severity(Effect $effect): string
    {
        return match ($effect) {
            Effect::Nobody, Effect::Potential => 'error',
            Effect::Affected, Effect::Intervened => 'critical error',
        };
    }

    public function deviceRule(): string
    {
        return 'Whether whoever supervises a learner may hold a phone or tablet while the car moves differs from state to state. Be strict: press this key '
            .'only on a device in a fixed mount, or with a clicker.';
    }

    public function deviceRuleSource(): Source
    {
        return Source::fromMemory('state vehicle codes');
    }

    public function figures(): array
    {
        return [
            new Figure('keeps', 'Side of the road', 'right', Source::fromMemory('state handbooks')),
            new Figure('units', 'Speed and short distances', 'mph; feet', Source::fromMemory('state handbooks')),
            new Figure(
                'limits', 'Usual limits', '15 mph in an alley, 25 residential and business, 55 two-lane, 65 freeway',
                Source::fromMemory('state vehicle code'),
            ),
            new Figure(
                'signal', 'Signal rule', 'at least 100 ft before a turn; 5 s before a freeway lane change',
                Source::fromMemory('state vehicle code and handbook'),
            ),
            new Figure(
                'order', 'Mirrors and signal', 'signal first for a lane change; mirrors and shoulder before it matters for turns',
                Source::commonPractice(),
            ),
            new Figure('gap', 'Gap dry, wet', '3 s, 6 s in the wet (assumed), more on ice', Source::fromMemory('state handbook')),
            new Figure('stopping', 'Stopping distances', 'AASHTO stopping sight distance', Source::fromMemory('AASHTO Green Book')),
            new Figure(
                'amber', 'Yellow', '3 to 6 s by speed: 1 s + v / (2 × 3.05 m/s²); no red and yellow together',
                Source::fromMemory('ITE, change intervals'),
            ),
            new Figure('amber-decision', 'Reaction and slowing for a yellow decision', '1.0 s and 3.05 m/s²', Source::fromMemory('ITE, change intervals')),
            new Figure('on-amber', 'On yellow', 'may enter; instructors teach to stop', Source::commonPractice()),
            new Figure('red', 'Turn on red', 'right after a full stop unless signed otherwise', Source::fromMemory('state vehicle code')),
            new Figure('people', 'People crossing the road being entered', 'yield to those in the crossing', Source::fromMemory('state vehicle code')),
            new Figure('unmarked', 'Intersection without signs', 'who came first; at once: the one on the right', $this->unmarkedRuleSource()),
            new Figure('walking', 'Walking speed', '1.1 m/s (3.5 ft/s)', Source::fromMemory('MUTCD')),
            new Figure('roundabout', 'Roundabout priority', 'traffic from the left', Source::fromMemory('state handbook')),
            new Figure('roundabout-signal', 'Roundabout signals', 'right before our own exit', Source::fromMemory('state handbook')),
            new Figure('markers', 'Countdown markers', 'none; exit signs at 2, 1 and 1/2 mile', Source::fromMemory('MUTCD')),
            new Figure('cycles', 'Passing a cycle', '3 ft', Source::fromMemory('state vehicle code')),
            new Figure('pull-up', 'Pull up on the left', 'not allowed', Source::fromMemory('state vehicle code')),
            new Figure('centre-lane', 'Center turn lane', 'must be used for that left turn; at most 200 ft', Source::fromMemory('state handbook')),
            new Figure('all-way-stop', 'All-way stop', 'order of arrival; at once: the one on the right', Source::fromMemory('state handbook')),
            new Figure('rail', 'Rail crossing', '15 to 50 ft from the rail when signals flash', Source::fromMemory('state vehicle code')),
            new Figure('device', 'Hand-held device', 'by state; be as strict with the instructor', $this->deviceRuleSource()),
            new Figure(
                'record', 'Learner’s record asked by law', '50 h practice, 10 of them at night, for minors',
                Source::fromMemory('state licensing rules'),
            ),
            new Figure('eyesight', 'Eyesight', 'by office test', Source::fromMemory('state licensing rules')),
            new Figure('companion', 'Accompanying driver', '25 or over, or a parent (for minors)', Source::fromMemory('state licensing rules')),
            new Figure('scheme', 'Marking scheme', 'na-ca-car: at most 15 scored errors, none critical', Source::fromMemory('driving test guidance')),
        ];
    }

    public function askedByLaw(): array
    {
        $rules = Source::fromMemory('state licensing rules');

        return [
            AskedByLaw::minutes('practice', 'Practice at the wheel', 50 * 60, $rules, ofMinors: true),
            AskedByLaw::minutes('night', 'Of it at night', 10 * 60, $rules, 'night', ofMinors: true),
        ];
    }

    public function exitSigns(): ExitSigns
    {
        $mile = 1760.0 * Distance::METRES_IN_A_YARD;

        return ExitSigns::withoutMarkers(
            Distance::ofMetres($mile), '1 mile', Distance::ofMetres($mile / 2.0), 'half a mile',
            Distance::ofMetres(100.0 * Distance::METRES_IN_A_FOOT), Source::fromMemory('MUTCD'),
        );
    }

    public function lacks(): array
    {
        return [RoutineCode::PullUpRightReverse, RoutineCode::MiniRoundabout];
    }

    public function usualAnswers(): array
    {
        return ['order' => 'signal-first', 'mirror_set_up' => 'out'];
    }

    public function roundaboutSignalSource(): Source
    {
        return Source::fromMemory('state handbook');
    }
}
