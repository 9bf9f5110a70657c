<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Step;

/**
 * Kinds of fault: what can be said of a step beside how it was done, in the words of an instructor. All of it is common practice with
 * no source. Every kind of a step can be said of any routine that has the step; which of them a card shows, the likeliest first, is
 * `likely`.
 */
final class Faults
{
    /** So many a card shows. */
    public const MOST = 6;

    private const OF_A_STEP = [
        'mirrors' => [
            'missing' => 'No look at all', 'late' => 'After or with the signal', 'one-only' => 'Only one mirror', 'wrong-side' => 'The wrong door mirror',
            'not-used' => 'Seen, not acted on', 'not-again' => 'Not again after the wait', 'no-shoulder' => 'No shoulder glance',
            'pulls-wheel' => 'Car drifts while looking', 'stares' => 'Stares into one mirror',
        ],
        'signal' => [
            'missing' => 'None', 'late' => 'Too late', 'with-the-move' => 'With the move', 'early' => 'Too early', 'wrong' => 'The wrong side',
            'left-on' => 'Left on', 'knocked-off' => 'Gone off, not put on again', 'misleads' => 'Says something else there',
        ],
        'position' => [
            'late' => 'Too late', 'too-left' => 'Too far left', 'too-right' => 'Too far right', 'wide' => 'Wide', 'cut' => 'Cut the corner',
            'not-regained' => 'Place not regained', 'straddles' => 'Across two lanes', 'too-near' => 'Too near', 'over-paint' => 'Over the paint',
            'not-the-lane' => 'Not the lane', 'contact' => 'Touched the {kerb}', 'blocks' => 'Caught in the {junction}', 'cuts-in' => 'Trailer cut in',
            'swings' => 'Tail swung out', 'leaves-alongside' => 'Room left open beside',
        ],
        'speed' => [
            'late' => 'Brake too late', 'harsh' => 'Brake too hard', 'too-fast' => 'Too fast', 'too-slow' => 'Too slow where it is clear',
            'clutch-first' => 'Clutch before brake', 'coasting' => 'Coasting', 'gear-wrong' => 'Wrong gear', 'gear-late' => 'Gear too late', 'jerk' => 'Jerk',
            'stall' => 'Stalled', 'surges' => 'Surged', 'rolls' => 'Rolled', 'slows-before-slip' => 'Slowed on the main road',
            'joins-slow' => 'Joined too slowly',
            'brakes-at-end' => 'Braked at the end', 'dives-on' => 'Dived on', 'hurries' => 'Hurried', 'half-hearted' => 'Half-hearted',
            'stops-needlessly' => 'Stopped for nothing', 'over-line' => 'Over the line', 'not-stopped' => 'Did not stop',
        ],
        'look' => [
            'one-way-only' => 'Only one way', 'first-look' => 'Decided on the first look', 'late' => 'Too late', 'eyes-off' => 'Eyes elsewhere while steering',
            'goes-unsafe' => 'Went when it was not clear', 'held-needlessly' => 'Held back for nothing', 'not-seen' => 'Something not seen',
            'other-light' => 'Another way’s light', 'half-way-stop' => 'Stopped half-way', 'trusts-signal' => 'Trusted a signal',
            'rear-not-watched' => 'Back not watched',
        ],
    ];

    /** Of any step. */
    private const OF_ANY = [
        'gave-up' => 'Gave up for no reason', 'misread' => 'Taken for giving way', 'not-ready' => 'Not made ready', 'bad-place' => 'A bad place',
        'wheel-not-straight' => 'Wheel not straight', 'veers' => 'Veered', 'steadiness' => 'Unsteady',
    ];

    /** Only where there is a clutch to work. */
    private const OF_THE_CLUTCH = ['clutch-first', 'coasting', 'gear-wrong', 'gear-late', 'jerk', 'stall'];

    /** What is likeliest at each kind of place, by step; what is not named for a section is as at a turn. */
    private const AT_A_TURN = [
        'mirrors' => ['missing', 'late', 'one-only', 'not-used', 'not-again'],
        'signal' => ['late', 'missing', 'early', 'with-the-move', 'left-on', 'knocked-off'],
        'position' => ['wide', 'cut', 'late', 'too-left', 'too-right', 'not-the-lane'],
        'speed' => ['too-fast', 'late', 'harsh', 'coasting', 'clutch-first', 'too-slow'],
        'look' => ['late', 'one-way-only', 'eyes-off', 'goes-unsafe', 'held-needlessly', 'not-seen'],
    ];

    /** @return array<string, list<string>> */
    private static function at(Section $section): array
    {
        return match ($section) {
            Section::MovingOff => [
                'mirrors' => ['missing', 'no-shoulder', 'one-only', 'not-again', 'not-used'],
                'signal' => ['missing', 'late', 'misleads', 'left-on'],
                'position' => ['too-near', 'contact', 'wheel-not-straight', 'veers', 'bad-place', 'late'],
                'speed' => ['stall', 'rolls', 'surges', 'jerk', 'too-fast', 'harsh'],
                'look' => ['rear-not-watched', 'late', 'goes-unsafe', 'held-needlessly', 'not-seen', 'eyes-off'],
            ],
            Section::Emerging => [
                'position' => ['wide', 'cut', 'too-right', 'too-left', 'blocks', 'late'],
                'speed' => ['too-fast', 'late', 'over-line', 'not-stopped', 'stops-needlessly', 'coasting'],
                'look' => ['goes-unsafe', 'held-needlessly', 'one-way-only', 'first-look', 'late', 'not-seen'],
            ],
            Section::Lights => [
                'position' => ['not-the-lane', 'wide', 'cut', 'blocks', 'late', 'straddles'],
                'speed' => ['late', 'harsh', 'hurries', 'over-line', 'too-slow', 'stops-needlessly'],
                'look' => ['other-light', 'not-seen', 'half-way-stop', 'goes-unsafe', 'held-needlessly', 'late'],
            ],
            Section::Roundabouts => [
                'signal' => ['missing', 'late', 'misleads', 'early', 'left-on', 'wrong'],
                'position' => ['not-the-lane', 'straddles', 'cut', 'wide', 'late', 'over-paint'],
                'speed' => ['too-fast', 'late', 'stops-needlessly', 'too-slow', 'coasting', 'gear-wrong'],
                'look' => ['goes-unsafe', 'held-needlessly', 'first-look', 'not-seen', 'late', 'trusts-signal'],
            ],
            Section::Lanes => [
                'mirrors' => ['no-shoulder', 'late', 'missing', 'one-only', 'not-used', 'pulls-wheel'],
                'signal' => ['with-the-move', 'late', 'missing', 'left-on', 'early', 'knocked-off'],
                'position' => ['straddles', 'late', 'too-near', 'over-paint', 'not-the-lane'],
                'speed' => ['too-slow', 'harsh', 'too-fast', 'hurries'],
                'look' => ['goes-unsafe', 'held-needlessly', 'not-seen', 'late', 'trusts-signal'],
            ],
            Section::FastRoads => [
                'mirrors' => ['no-shoulder', 'late', 'missing', 'not-used', 'stares', 'not-again'],
                'signal' => ['late', 'missing', 'early', 'left-on', 'with-the-move'],
                'position' => ['late', 'straddles', 'over-paint', 'too-near', 'not-the-lane'],
                'speed' => ['joins-slow', 'brakes-at-end', 'slows-before-slip', 'dives-on', 'late', 'harsh'],
                'look' => ['late', 'goes-unsafe', 'held-needlessly', 'not-seen', 'trusts-signal'],
            ],
            // Done all the time: a steady car, the speed kept, no signal that nobody needs.
            Section::Between => [
                'mirrors' => ['missing', 'late', 'not-used', 'stares', 'one-only', 'pulls-wheel'],
                'signal' => ['misleads', 'missing', 'left-on', 'late'],
                'position' => ['steadiness', 'too-left', 'too-right', 'too-near', 'not-regained', 'over-paint'],
                'speed' => ['too-fast', 'too-slow', 'harsh', 'late', 'hurries', 'stops-needlessly'],
                'look' => ['not-seen', 'late', 'eyes-off', 'held-needlessly'],
            ],
            Section::Passing => [
                'mirrors' => ['missing', 'late', 'one-only', 'not-used', 'no-shoulder', 'stares'],
                'signal' => ['missing', 'misleads', 'late', 'left-on'],
                'position' => ['too-near', 'not-regained', 'late', 'over-paint', 'too-left', 'too-right'],
                'speed' => ['too-fast', 'late', 'harsh', 'too-slow', 'hurries', 'stops-needlessly'],
                'look' => ['not-seen', 'late', 'goes-unsafe', 'held-needlessly', 'trusts-signal'],
            ],
            Section::Overtaking => [
                'mirrors' => ['missing', 'no-shoulder', 'late', 'not-again', 'not-used'],
                'signal' => ['missing', 'late', 'with-the-move', 'left-on'],
                'position' => ['too-near', 'late', 'not-regained', 'over-paint'],
                'speed' => ['half-hearted', 'too-slow', 'gear-wrong', 'gear-late', 'too-fast', 'hurries'],
                'look' => ['goes-unsafe', 'not-seen', 'held-needlessly', 'late', 'first-look'],
            ],
            Section::Control, Section::Around => [
                'mirrors' => ['missing', 'stares', 'pulls-wheel', 'one-only', 'not-used'],
                'position' => ['steadiness', 'veers', 'too-left', 'too-right', 'too-near'],
                'speed' => ['jerk', 'stall', 'gear-wrong', 'gear-late', 'coasting', 'surges'],
                'look' => ['eyes-off', 'not-seen', 'late', 'not-ready'],
            ],
            Section::LongVehicles => [
                'mirrors' => ['stares', 'missing', 'not-again', 'late', 'not-used'],
                'position' => ['cuts-in', 'swings', 'leaves-alongside', 'wide', 'blocks', 'over-paint'],
                'speed' => ['too-fast', 'late', 'harsh', 'too-slow', 'gear-wrong'],
                'look' => ['rear-not-watched', 'not-seen', 'goes-unsafe', 'held-needlessly', 'late'],
            ],
            Section::Turning, Section::LocalRules => [],
        };
    }

    /** @return array<string, array<string, string>> words by step and code; what is of any step stands under each */
    public static function words(): array
    {
        return array_map(static fn (array $of): array => $of + self::OF_ANY, self::OF_A_STEP);
    }

    /** Whether a kind can be said of a step. */
    public static function isOf(string $code, Step $step): bool
    {
        return isset(self::OF_A_STEP[$step->value][$code]) || isset(self::OF_ANY[$code]);
    }

    /** @return non-empty-list<string> every code there is */
    public static function codes(): array
    {
        return array_values(array_unique([...array_merge(...array_values(array_map(array_keys(...), self::OF_A_STEP))), ...array_keys(self::OF_ANY)]));
    }

    /** @return list<string> codes of three to six kinds that fit a step of a routine, the likeliest first */
    public static function likely(R $routine, Section $section, Step $step, bool $hasClutch = true): array
    {
        $likely = self::at($section)[$step->value] ?? self::AT_A_TURN[$step->value];
        if (in_array($routine, [R::BayIn, R::BayOut, R::BackUp, R::PullUpRightReverse], true)) {
            $likely = match ($step) {
                Step::Position => ['wheel-not-straight', 'veers', 'too-near', 'contact', 'bad-place', 'late'],
                Step::Speed => ['too-fast', 'stall', 'surges', 'rolls', 'harsh'],
                default => $likely,
            };
        }
        $fitting = $hasClutch ? $likely : array_values(array_diff($likely, self::OF_THE_CLUTCH));
        // Never fewer than three: what is likely at any turn fills up.
        foreach (self::AT_A_TURN[$step->value] as $code) {
            if (count($fitting) >= 3) {
                break;
            }
            if (! in_array($code, $fitting, true) && ($hasClutch || ! in_array($code, self::OF_THE_CLUTCH, true))) {
                $fitting[] = $code;
            }
        }

        return array_slice($fitting, 0, self::MOST);
    }
}
