<?php

declare(strict_types=1);

namespace NobleTurn\Core\Docs;

use NobleTurn\Core\Compute\Toolbox;

/** One rule a plan keeps: when it applies, what it does, why, where it comes from, and an example the core reckons itself. */
final readonly class PlanRule
{
    /**
     * @param  array<string, mixed>  $input  of the tool, for the example
     * @param  callable(array<string, mixed>): string  $say  what of the answer shows the rule
     */
    private function __construct(
        public string $name, public string $condition, public string $action, public string $reason, public string $source, private string $tool,
        private array $input, private mixed $say,
    ) {
    }

    public function example(): string
    {
        return ($this->say)(Toolbox::run($this->tool, $this->input)).' (`'.$this->tool.' '.json_encode(
            $this->input, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        ).'`)';
    }

    /** @return non-empty-list<self> */
    public static function all(): array
    {
        $at = static fn (array $plan, string $step): string => round(array_column($plan['steps'], 'best_m', 'step')[$step] ?? 0.0).' m';
        $conflict = static fn (string $code): callable => static fn (array $plan): string => array_column($plan['conflicts'], 'message', 'code')[$code]
            ?? '(no clash)';
        $emerge = ['routine' => 'emerge-right', 'limit_mph' => 30];

        return [
            new self(
                'Mirrors before the signal', 'a signal is given', 'the last mirror, two seconds to think, then the signal',
                'what was seen must still be able to change what is done', 'common practice, no source; the time is assumed', 'approach', $emerge,
                static fn (array $plan): string => "mirrors at {$at($plan, 'mirrors')}, signal at {$at($plan, 'signal')}",
            ),
            new self(
                'The signal is seen first', 'brake light or sideways move follows', 'at least two seconds between them, planned with a margin',
                'a signal given with the move tells nobody anything', 'common practice, no source; the time is assumed', 'approach', $emerge,
                static fn (array $plan): string => "signal at {$at($plan, 'signal')}, first brake light at {$at($plan, 'speed')}",
            ),
            new self(
                'The rule of thumb gives way to physics', 'the school’s figure would leave less than two seconds, or none',
                'the signal is moved earlier and the difference is said', 'the number was learned for one speed', 'common practice, no source',
                'approach', ['routine' => 'emerge-right', 'limit_mph' => 30, 'speed_mph' => 30], $conflict('signal-rule-after-brake-lights'),
            ),
            new self(
                'Past an opening', 'an opening on the same side comes first', 'the signal waits until it is passed', 'it would seem to mean that one',
                'common practice, no source', 'approach',
                [
                    'routine' => 'turn-right', 'limit_mph' => 30, 'speed_mph' => 20, 'practice' => ['signal' => 'car-lengths'],
                    'openings' => [['side' => 'right', 'from_m' => 39, 'to_m' => 33]],
                ],
                $conflict('signal-waits-for-opening'),
            ),
            new self(
                'Room too short', 'the routine does not fit before the line', 'planned at the highest speed at which all of it fits',
                'every part keeps its time; the speed gives way', 'assumed', 'approach',
                ['routine' => 'turn-left', 'limit_mph' => 30, 'room_m' => 60], $conflict('room-too-short'),
            ),
            new self(
                'Comfortable round the corner', 'a turn is steered', 'at most the speed at which the sideways acceleration stays comfortable',
                'faster presses sideways and leaves no time to look', 'common practice for the figure it is held against; 2.5 m/s² is assumed',
                'approach', ['routine' => 'turn-left', 'limit_mph' => 30], $conflict('turn-speed-rule'),
            ),
            new self(
                'Time to look', 'the view opens late', 'a stop at the line', 'both ways and a decision take about three seconds',
                'common practice, no source; the time is assumed', 'approach', $emerge + ['view' => 'closed'],
                static fn (array $plan): string => 'speed at the line: '.$plan['line_speed_mps'].' m/s',
            ),
            new self(
                'Close follower', 'somebody is closer than two seconds', 'the signal a second earlier, the brake lighter and longer',
                'they need time to read it', 'common practice, no source; the second is assumed', 'approach', $emerge + ['close_follower' => true],
                static fn (array $plan): string => "signal at {$at($plan, 'signal')}",
            ),
            new self(
                'A long green', 'lights have been green for long', 'eased to where a change finds an answer, never below four fifths of the speed',
                'between stopping in comfort and being over in time lies a stretch where neither fits', 'kinematics; amber time by pack', 'approach',
                ['routine' => 'lights-ahead', 'limit_mph' => 30, 'light' => 'green-long'],
                static fn (array $plan): string => 'speed at the lights: '.$plan['line_speed_mps'].' m/s',
            ),
            new self(
                'Amber', 'the light changes', 'stop wherever it can be done without harsh braking', 'the law of the place says so', 'by pack',
                'amber', ['speed_mph' => 30, 'distance_m' => 42], static fn (array $amber): string => $amber['message'],
            ),
            new self(
                'People in the road being entered', 'somebody crosses or waits to', 'wait by the pack’s rule and the practice',
                'the law of the place, and walking speed', 'by pack', 'crossing', ['road_width_m' => 14, 'person_at_m' => 0, 'towards_us' => true],
                static fn (array $crossing): string => $crossing['reason']." {$crossing['wait_s']} s.",
            ),
            new self(
                'Two hazards close together', 'a second line follows',
                'one after the other where both fit; else the second is planned first; without room for a car both are one',
                'half a routine is worse than a slower one', 'common practice, no source; gathering speed at 1.2 m/s² is assumed', 'approach',
                ['routine' => 'turn-left', 'limit_mph' => 30, 'then' => ['routine' => 'turn-right', 'distance_m' => 60]],
                static fn (array $plan): string => $plan['then']['message'],
            ),
            new self(
                'Six steps', 'the practice counts six', 'the gear is a step of its own after the brake and before looking',
                'a beginner finds the gear easier as its own step', 'common practice, no source', 'approach',
                $emerge + ['practice' => ['steps' => 'six']], static fn (array $plan): string => implode(', ', array_column($plan['steps'], 'step')),
            ),
        ];
    }
}
