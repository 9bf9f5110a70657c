<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Trade\Step;

/**
 * Why each kind of fault happens and what helps, whatever the routine. Common practice, no source. What a routine says of its own steps is said
 * beside it, where no kind was seen. Words in braces are the pack's own (Wording).
 */
final class FaultCauses
{
    private const ANY = 'any';

    /** By step and code: the step in which the cause lies, the cause, the remedy. */
    private const OF = [
        'mirrors' => [
            'missing' => [null, 'The direction was still being taken in, or all attention was on the car.',
                'Give the direction sooner; “mirrors” is said aloud before anything else moves.'],
            'late' => [null, 'The hand was quicker than the eyes.',
                'Hand on the knee until both mirrors have been said aloud.'],
            'one-only' => [null, 'A habit: one glance counts as done.',
                'Name what is seen in each mirror: the middle one first, then the side of the move.'],
            'wrong-side' => [null, 'Which way it goes was not settled when the direction came.',
                'Repeat the direction and point that way before looking.'],
            'not-used' => [null, 'Looking has become a ritual that asks nothing.',
                'After each look, one question: who is there, and what does that change?'],
            'not-again' => [null, 'It was thought finished before the wait.',
                'A wait begins the looking anew: “still clear?” before the car moves.'],
            'no-shoulder' => [null, 'The mirror was trusted for what it cannot show.',
                'Parked, let somebody walk through the blind spot; then a glance before every move sideways.'],
            'pulls-wheel' => [null, 'The shoulders turned with the head.',
                'Glances on a straight quiet road, elbows easy, eyes ahead again within a second.'],
            'stares' => [null, 'Worry about one thing behind, while the road ahead changed.',
                'Short looks, often: a second in the mirror, then far ahead again.'],
        ],
        'signal' => [
            'missing' => ['mirrors', 'The mirrors came late, and nothing was left for the signal.',
                'Before each hazard, say who would be helped by a signal.'],
            'late' => ['mirrors', 'The mirrors came late, or the opening was seen late.',
                'Name the opening as soon as it shows: then mirrors, then signal.'],
            'with-the-move' => ['mirrors', 'Signal and wheel had become one movement.',
                'Count two between signal and wheel: it has to tell somebody before it happens.'],
            'early' => [null, 'Another opening before it was not seen.',
                'Count the openings aloud, and signal once ours is the next.'],
            'wrong' => ['mirrors', 'Which way it goes was not settled.',
                'Direction, the mirror on that side, the signal to that side: one line, said aloud.'],
            'left-on' => ['position', 'The eyes were still on a turn that was over.',
                'After each turn one line: mirrors, speed, signal off.'],
            'knocked-off' => ['position', 'Steering back took it off.',
                'A glance at the tell-tale whenever the wheel has been moved.'],
            'misleads' => ['look', 'It was given by rule, without a thought who reads it.',
                'Before signalling: who sees this, and what will they do?'],
        ],
        'position' => [
            'late' => ['signal', 'Signal and braking came late, and the place with them.',
                'Place before brake: be where the car belongs before the foot moves.'],
            'too-left' => [null, 'The place was not read from the road.',
                'Say the place in words well before, and look where the car is to be.'],
            'too-right' => [null, 'The width, or that it is one-way, was not read.',
                'Read the lines and the mouth aloud, then say the place.'],
            'wide' => ['look', 'The eyes were still on the traffic when the wheel had to turn.',
                'Decide first, then eyes into the road entered, then the wheel; at walking pace.'],
            'cut' => ['look', 'The wheel was turned before the point.',
                'Drive to the point first: “not yet … now”, the voice fading from round to round.'],
            'not-regained' => ['look', 'What comes next was not seen.',
                'Eyes up past each obstacle: name where the car goes next.'],
            'straddles' => ['look', 'Sign or paint was read late.',
                'Read the lanes aloud from the first sign on; choose once, and early.'],
            'too-near' => ['speed', 'Too fast for the room there was.',
                'Slow first, then room: a door’s width, or walking pace.'],
            'over-paint' => ['look', 'Placed by habit, the paint not read.',
                'Say what each line means on the way past, and stay off it.'],
            'not-the-lane' => ['look', 'The lane was not settled before.',
                'Say the lane together with the exit, before the approach begins.'],
            'contact' => ['speed', 'Too fast to be put right.',
                'Slower than a walk: stop, look, put it right, go on.'],
            'blocks' => ['look', 'The way out was not checked before going in.',
                'No room beyond, no go: name the space beyond before the line.'],
            'cuts-in' => [null, 'The front was not driven deep enough before the turn.',
                'Drive deeper, and watch the trailer’s wheels in the mirror until they are round.'],
            'swings' => ['mirrors', 'The tail was not watched.',
                'The outer mirror as the wheel goes over, every time.'],
            'leaves-alongside' => ['mirrors', 'Room beside was left open, and not watched.',
                'Take the place early, so that nobody fits beside.'],
        ],
        'speed' => [
            'late' => [null, 'The foot came off the {accelerator} late: the eyes were short.',
                'Off the {accelerator} where the mirrors end; the brake early and light, easing at the end.'],
            'harsh' => [null, 'The foot came off the {accelerator} late: the eyes were short.',
                'Off the {accelerator} where the mirrors end; the brake early and light, easing at the end.'],
            'too-fast' => ['look', 'The hazard or the limit was not read in time.',
                'Say the speed for it before it comes, and be at that speed early.'],
            'too-slow' => ['look', 'Fear, or a view that was not used.',
                'Read the view aloud; once it is open, pick up speed at once.'],
            'clutch-first' => [null, 'The brake came late, and there was fear of stalling.',
                'Brake first; the clutch only when the engine asks for it. Feel it on a clear road.'],
            'coasting' => [null, 'The clutch went down early and stayed there.',
                'Clutch up again after each change: engine and car together down to walking pace.'],
            'gear-wrong' => [null, 'The speed was reached late, and the gear was a guess.',
                'Speed first, then one gear for it, said before the lever moves.'],
            'gear-late' => [null, 'The speed was reached late, and the change fell into the turn.',
                'The gear is in before the wheel moves: both hands for the turn.'],
            'jerk' => [null, 'The pedals were forgotten for the lever.',
                'At a standstill first: {accelerator} off, clutch, lever, clutch, {accelerator}, with a slow hand.'],
            'stall' => [null, 'The biting point was not held.',
                'Ten starts without the {accelerator} on a flat quiet road: find the bite, hold it, count two.'],
            'surges' => [null, 'The clutch came up past the bite.',
                'Hold it at the bite until the car moves by itself.'],
            'rolls' => [null, 'The brake was let go before the bite.',
                'Bite first, then the brake: wait until the nose rises.'],
            'slows-before-slip' => [null, 'The plan came too late.',
                'Keep the speed of the road as far as the {slip}, and brake on the {slip}.'],
            'joins-slow' => ['look', 'The view of the main road was not used.',
                'Look for the gap from the first glimpse, {accelerator} down on the {slip}.'],
            'brakes-at-end' => ['look', 'No gap was chosen in time.',
                'Choose the gap half-way along, and fit the speed to it.'],
            'dives-on' => ['look', 'The first gap was taken, not a good one.',
                'Use the whole {slip}: match the speed, then move in.'],
            'hurries' => ['look', 'Eyes short, or pushed by somebody behind.',
                'Red or a queue ahead: {accelerator} off now. Those behind wait there too.'],
            'half-hearted' => ['look', 'It had not been decided.',
                'Decide before the lane is left: then the {accelerator} right down, or not at all.'],
            'stops-needlessly' => ['look', 'The view was not used.',
                'Look early, decide early; gear ready, and roll while it is clear.'],
            'over-line' => ['position', 'The line was not seen.',
                'Choose where to stop from afar: the line just in sight over the {bonnet}.'],
            'not-stopped' => ['look', 'The line was looked past.',
                'Wheels still, one breath, then look.'],
        ],
        'look' => [
            'one-way-only' => ['speed', 'The nearer danger took all attention.',
                'Both ways at the least, and last to where they come from first.'],
            'first-look' => ['speed', 'Hurry: the first look was the decision.',
                'Two looks, then decide: the second has to agree with the first.'],
            'late' => ['speed', 'The speed came late, and looking and deciding fell together.',
                'Slow enough so early that looking begins before the line.'],
            'eyes-off' => [null, 'Still looking for what was past.',
                'Eyes where the car is to go before the hands move.'],
            'goes-unsafe' => ['speed', 'The gap was shorter than it was taken for.',
                'Parked at a {junction}, judge gaps: “now” and “too late”, and count the seconds.'],
            'held-needlessly' => ['speed', 'A gap that was enough looked too short, or the feet were not ready.',
                'Parked at a {junction}: “that would have done”. Then gear and feet ready, and go on the next like it.'],
            'not-seen' => ['speed', 'Eyes too near, or too much at once.',
                'Name signs, lights and people aloud, as far ahead as they show.'],
            'other-light' => [null, 'Which light is ours was not settled.',
                'Name our light by where it stands before the line, and watch that one.'],
            'half-way-stop' => ['speed', 'Where it leads was not looked at before going.',
                'Look into the road entered first: people, cycles, room.'],
            'trusts-signal' => [null, 'A signal was believed without the speed and the place that go with it.',
                'Wait for two signs: the signal, and wheels or speed that fit it.'],
            'rear-not-watched' => [null, 'All attention was on the edge.',
                'Look through the rear window most of the time, and stop to look round.'],
        ],
        self::ANY => [
            'gave-up' => [null, 'The direction came late, or confidence went.',
                'Give the direction sooner, and let a calm one be driven to its end.'],
            'misread' => ['speed', 'Dawdling told others something else.',
                'Be clear: stop, or go.'],
            'not-ready' => [null, 'The check was left out.',
                'The same check in the same order before every start.'],
            'bad-place' => ['look', 'The place was not chosen first.',
                'Choose the place, say it, then the mirrors.'],
            'wheel-not-straight' => ['speed', 'Too fast to count the turns of the wheel.',
                'Stop, straighten, count the turns back.'],
            'veers' => ['speed', 'Too fast, and put right by too much.',
                'Slower, small corrections, eyes far.'],
            'steadiness' => [null, 'Seat or shoulders, or looking near.',
                'Set seat and wheel anew; shoulders down, eyes far.'],
        ],
    ];

    /** Null where the kind is none of that step. */
    public static function of(Step $step, string $fault): ?FaultCause
    {
        $said = self::OF[$step->value][$fault] ?? self::OF[self::ANY][$fault] ?? null;

        if ($said === null) {
            return null;
        }
        [$in, $cause, $remedy] = $said;

        return new FaultCause($cause, $remedy, $in === null || $in === $step->value ? null : Step::from($in));
    }
}
