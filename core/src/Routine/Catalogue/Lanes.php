<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Routine\Variant;
use NobleTurn\Core\Trade\RoutineCode;

/** Changing lane, merging, joining and leaving fast roads. Common practice, no source. */
final class Lanes
{
    public static function change(RoutineCode $code): Routine
    {
        return new Routine(
            $code, 'Change lane to the {turn}', 'From one lane to the next, going on the same way.', 'Cancel; gap ahead in the new lane; mirrors.',
            [
                Write::mirrors(
                    'Interior, {turn} mirror: in both, behind; in the door mirror only, alongside or nearly. Eyes ahead between.',
                    'The gap must be there for the whole move, and somebody two lanes over may want it too.',
                    'One long stare at the door mirror while the car ahead slows.',
                    'The lane was needed at once, because the sign was read late.',
                    'Two short looks say more than one long: which way is it growing?',
                    'Call “growing, the same, shrinking” of the car in the {turn} mirror for five minutes.',
                ),
                Write::signal(
                    'Signal {turn} while there is still a choice.',
                    'Others open a gap for a signal and close one for a swerve.',
                    'With the move, or begun while being passed.',
                    'The mirrors were not believed, so the signal waited for courage.',
                    'Decide “behind that one”, then signal.',
                    'Signal, hold the lane, cancel, ten times on a quiet road.',
                ),
                Write::position(
                    'Over in one even drift, about as long as two clicks of a slow count; then the middle of the new lane.',
                    'A drift can be seen and taken back; a swerve can only be survived.',
                    'Half over and waiting: two lanes blocked.',
                    'Signal and move together, and the doubt came half-way.',
                    'Not gone is no fault; half gone is.',
                    'Along a line of cones, one lane to the other in fifty metres, eyes far ahead.',
                ),
                Write::speed(
                    'Faster to fit in front, easier to fit behind; never the brake in the move.',
                    'A gap is a place and a speed.',
                    'Slowing to change lane, so that the gap closes from behind.',
                    'The move was begun at the old speed, whatever the new lane did.',
                    'Match first, then move.',
                    'Beside a steady car on a {dual carriageway}: drop to its rear, go to its front, without moving over.',
                    '[A gear that pulls.|]',
                ),
                Write::look(
                    'Over the {turn} shoulder through the side window, short, with the wheel straight; then ahead.',
                    'The last metre beside the car is in no mirror.',
                    'Twisting to the rear window: the wheel comes too.',
                    'Speed not matched, so the shoulder had to find the gap.',
                    'Chin to the shoulder and back in half a second.',
                    'Parked: the instructor holds up fingers beside the rear door; the learner reads them in half a second.',
                ),
            ],
            Section::Lanes, 'Move into the {turn} lane when it is safe, please.', Sketch::Lanes,
            [
                new Variant('Two {junctions} close together', 'The lane for the second before the first, then cancel so as not to seem to turn at the first.'),
                new Variant('Bus lane', 'Its hours count, and its end marking: not before it.'),
                new Variant(
                    'After a turn',
                    'Stay in the lane entered, then change; with very little room straight over with a signal. Or decline: “not safe now, at the next”.',
                ),
            ],
            'blind spot, swerve, cut up, lane discipline',
        );
    }

    public static function merge(): Routine
    {
        return new Routine(
            RoutineCode::Merge, 'Lane ends: merge', 'Where two lanes become one.', 'Thank with a hand, never with a wave-on; gap back.',
            [
                Write::mirrors(
                    'Read the floor arrows; interior and the mirror towards the lane that stays.',
                    'Who is level now will be level at the end.',
                    'Looking once and hoping.',
                    'The arrows were read under the wheels.',
                    'First arrow, first mirror.',
                    'Name the first sign of every ending lane on a drive.',
                ),
                Write::signal(
                    'Signal towards the lane that stays, in good time.',
                    'It turns a dispute into an order.',
                    'None, because “the lane ends anyway”.',
                    'Nobody was found in the mirror to tell.',
                    'The end of a lane is a lane change.',
                    'Five ending lanes, saying who has been told.',
                ),
                Write::position(
                    'Both lanes to their end where traffic is slow, then one from each; earlier where it is fast.',
                    'Using both keeps the queue short, and the order clear.',
                    'Stopping far before the end of an empty lane.',
                    'No signal, so nobody left room at the end.',
                    'To the end, beside the gap, then in.',
                    'Watch three merges from the {pavement} and say who made the room.',
                ),
                Write::speed(
                    'The speed of the other lane; a gap ahead of us for the one beside.',
                    'Equal speeds need no brakes.',
                    'Racing to be one car further.',
                    'Place chosen against the car alongside instead of behind it.',
                    'Behind it is always free.',
                    'Let one in at each merge for a week.',
                    'Second while slow.',
                ),
                Write::look(
                    'Shoulder, ahead, shoulder; those who come back late from a lane that was ending.',
                    'The one who saw it last has looked least.',
                    'Only at the one who lets us in.',
                    'Too fast for more than one of them.',
                    'The one behind the kind one.',
                    'Say “he lets me in, and the next one?”.',
                ),
            ],
            Section::Lanes, 'Follow the road ahead: the lane ends.', Sketch::LaneEnds, [], 'zip, roadworks, narrowing, lane closed',
        );
    }

    public static function join(): Routine
    {
        return new Routine(
            RoutineCode::Join, 'Join from a {slip road}', 'Onto a {dual carriageway} or {motorway}.',
            'Cancel; straight to top; gap back to the pack’s seconds; mirrors.',
            [
                Write::mirrors(
                    'Interior and {off} mirror: at first it shows only the {slip road} itself. Make room ahead first.',
                    'The run-up needs room, and whoever is behind joins at the same time.',
                    'Mirrors only, to the very end.',
                    'The turn onto the {slip road} was still being finished.',
                    'Cancel the old signal, look what is ahead, then begin.',
                    'Drive the {slip road} of a quiet road saying what each mirror shows when.',
                ),
                Write::signal(
                    'A new signal {off} as soon as the main road can see it.',
                    'Those on the main road may move over; they may not be able to.',
                    'None, or the one from the turn still on.',
                    'No mirror said who needs to know.',
                    'Cancel, look, signal: three things.',
                    'On a long one: signal at its beginning, see who moves.',
                ),
                Write::position(
                    'Stay {near} on it; never over solid lines; join near the end.',
                    'Time for everybody to see everybody.',
                    'Diving on early where the view is short.',
                    'Signal late, so the first gap was taken in a hurry.',
                    'The lane beside is there all the way.',
                    'Name the point where the solid line ends before reaching it.',
                ),
                Write::speed(
                    'The speed of the main road by the end, [in a gear that pulls|{accelerator} well down]: choose ahead of or behind what was seen, over the '
                        .'whole length.',
                    'Braking near the end takes away the speed that joining needs; it means the plan came too late.',
                    'A stop at the end.',
                    'Waiting for a place instead of making a speed.',
                    'Speed first: a gap is easy at equal speed and impossible without.',
                    'Twice with the instructor naming the car to be behind, twice with the learner naming it.',
                    'Third, also uphill; a high gear does downhill.',
                ),
                Write::look(
                    'Shoulder as soon as the main road can be seen, wheel straight; a second one to judge speed; one more just before joining.',
                    'One look shows a car, two show its speed.',
                    'A single look at the end.',
                    'The speed did not fit, so there was nothing to choose between.',
                    'Look, ahead, look: is it growing?',
                    'From a bridge: call ahead or behind for each car that joins.',
                ),
            ],
            Section::FastRoads, 'Take the {slip road} and join the main road, please.', Sketch::SlipOn,
            [
                new Variant('Short {slip road}', 'Same steps, less time; those leaving cut across.'),
                new Variant('Uphill', 'The engine has to give more: [a lower gear|more {accelerator}] from the start.'),
                new Variant('From lights', 'Nearest suitable lane; if slow, the one that moves, and out of it later without hurry.'),
            ],
            'motorway, dual carriageway, slip, ramp, acceleration, freeway entry',
        );
    }

    public static function leave(): Routine
    {
        return new Routine(
            RoutineCode::Leave, 'Leave by a {slip road}', 'Off a {dual carriageway} or {motorway}.',
            'The lower limit: speed feels slower than it is; read the dial.',
            [
                Write::mirrors(
                    'At the first sign; {near} lane by {lane by}; interior and {near} mirror again at the {marker}.',
                    'Those who will pass us and then cut in are behind now.',
                    'First mirror when the signal is due.',
                    'The sign was read and not used.',
                    'Sign, mirror, lane: {lane by} before.',
                    'Call each sign’s distance in seconds.',
                ),
                Write::signal(
                    'In good time, at the {marker}; cancel on the {slip road}; a new one for the {junction} at its end.',
                    'It separates leaving from turning.',
                    'One signal from the {marker} to the {junction}.',
                    'Lane late, so signal and lane were one.',
                    'Say “cancelled” as the line is crossed.',
                    'Three exits with the instructor counting the ticks.',
                ),
                Write::position(
                    'Over as the {slip road} opens, {near} lane; a lane change on it is a full routine.',
                    'Room to slow is at its beginning.',
                    'Straight to the far lane across the marks.',
                    'Signal meant for leaving was still on and counted for everything.',
                    'First on, then over.',
                    'Name both lanes of an exit and where each goes.',
                ),
                Write::speed(
                    'The main road’s speed until on it; then brake evenly over all of it, slow before a bend and not in it.',
                    'Slowing on the main road makes those behind brake; the bend does not wait.',
                    'Braking before leaving, then coasting to the bend and braking in it.',
                    'Still looking for the lane when the brake was due.',
                    'On it, lane, brake: dial read at half-way.',
                    'Say the speed without looking; then look.',
                    'One block change near the end.',
                ),
                Write::look(
                    'The shape of the bend, the tail of a queue, what is at the end.',
                    'The end comes at a speed the eye has forgotten.',
                    'Eyes on the dial in the bend.',
                    'Too fast, and noticed too late.',
                    'Through the bend to its end.',
                    'Name the tightest point of the bend before it begins.',
                ),
            ],
            Section::FastRoads, 'Leave at the next exit, please.', Sketch::SlipOff,
            [
                new Variant('Very short', 'Firmly, straight from its beginning.'),
                new Variant('Queue on it', '{Hazards} on while the last one; brake earlier and lighter.'),
            ],
            'exit, slip, motorway, too fast, countdown',
        );
    }
}
