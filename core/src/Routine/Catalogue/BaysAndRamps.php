<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Trade\RoutineCode;

/** Bays, ramps and the long vehicle that wants to join. Common practice, no source. */
final class BaysAndRamps
{
    public static function bayOut(): Routine
    {
        return new Routine(
            RoutineCode::BayOut, 'Downhill out of a bay, backwards', 'Out of a sloping space into a lane of a {car park} or a street.',
            'Stop, first, all round, mirrors.',
            [
                Write::mirrors(
                    'All round before the lever moves: somebody may stand behind the car already.',
                    'Behind a car is where children and trolleys are.',
                    'Reverse first, look afterwards: the lamp lights with nobody looking.',
                    'Getting in was still going on in the head.',
                    'Round once on foot before getting in; round again with the eyes.',
                    'Walk round the car saying what could roll, run or stand behind it.',
                ),
                Write::speed(
                    'Reverse, so that its lamp warns; then the foot brake alone sets the speed.',
                    'The hill drives: the {accelerator} would only add to it.',
                    'Letting the brake go as if it were flat.',
                    'The slope was not noticed while looking round.',
                    'Let it roll the length of a shoe, stop; again.',
                    'Five rolls of a shoe’s length, then one of a car’s.',
                    'Clutch down all the way.',
                ),
                Write::look(
                    'Out of the rear window, round to both sides, never long to one.',
                    'Those in the lane see the tail before we see them.',
                    'One mirror all the way; the tail out before the lane is seen.',
                    'Too fast to turn the head.',
                    'A hand’s breadth, a look to each side, a hand’s breadth.',
                    'With the instructor outside, waving to stop: stop at once at each wave.',
                ),
            ],
            Section::MovingOff, 'Back out of the space when it is safe.', Sketch::Bay, [], 'parking, {car park}, reversing, slope',
        );
    }

    public static function ramp(): Routine
    {
        return new Routine(
            RoutineCode::Ramp, 'Ramp or barrier uphill', 'At the ticket machine of a ramp, or any steep start.',
            'Straight and clear of the {kerb} before any steering; lights on inside.',
            [
                Write::mirrors(
                    'Interior on the way up and again before the barrier opens.',
                    'Whoever stands close behind decides how far one may roll.',
                    'Not noticed that the car behind has closed up.',
                    'All eyes on the machine.',
                    'Secure first, then the machine, then the mirror.',
                    'Three starts on a hill naming the gap behind before each.',
                ),
                Write::position(
                    'Straight, and near enough to reach the machine without opening the belt.',
                    'A car that stands askew scrapes when it pulls away.',
                    'Steering at once, the rear still beside the {kerb}.',
                    'The gap behind was feared, and the car was to get away quickly.',
                    'Wheels straight until the body is clear.',
                    '{Pull up} to a line of cones, window by cone, within an arm’s length.',
                ),
                Write::speed(
                    'First; secure while at the machine; held; away at a walk.',
                    'On a slope the engine must carry the car before the brake lets go.',
                    '[Too high on the clutch stalls, too|Too] much {accelerator} surges into the barrier.',
                    'The wheels were still turned and the start was to mend it.',
                    '[Biting point, hold, feel the nose rise, then the brake.|A little {accelerator}, feel the nose rise, then off the brake.]',
                    'Hold on the slope for five seconds [by clutch alone|on the brake], then roll a foot up, a foot down.',
                    'Around the biting point all the way.',
                ),
                Write::look(
                    'Barrier up, ramp clear, mirrors either side, then the top of the ramp.',
                    'The {bonnet} hides the crest, and somebody may come down.',
                    'Eyes on the barrier until past it.',
                    'The start took all the attention there was.',
                    'When the start is held, look; then go.',
                    'Say “barrier, ramp, mirror” before each start.',
                ),
            ],
            Section::MovingOff, 'Take a ticket and drive up.', Sketch::Ramp, [], 'hill start, {car park}, barrier, stall, roll back',
        );
    }

    public static function bayIn(): Routine
    {
        return new Routine(
            RoutineCode::BayIn, 'Into a {kerb} space or bay', 'Forwards or backwards into a marked space.',
            'Secure, [neutral|park], cancel; a way out left for later.',
            [
                Write::mirrors(
                    'Interior and the mirror on the side of the space, before slowing for it.',
                    'Those behind do not know there is a space.',
                    'Stopping dead when a space appears.',
                    'The looking for a space took the place of looking at the road.',
                    'Two spaces ahead is soon enough; the one beside you is gone.',
                    'A lap of a {car park} naming free spaces two ahead.',
                ),
                Write::signal(
                    'Signal to the side of the space as it is chosen.',
                    'It keeps the car behind from closing up to the place needed for backing.',
                    'No signal: the car behind stands where the tail must go.',
                    'The mirror was left out, so nobody was there to signal to.',
                    'Mirror, signal, then the brake, as for a turn.',
                    'Choose, signal, pass it, cancel; five times.',
                ),
                Write::position(
                    'Give it room: start wide of the space, straighten once in it, in the middle.',
                    'A wide start makes a small angle; room at the doors lets people out.',
                    'Too close along the row, so that the outer corner will not clear.',
                    'The signal was late, and the start was taken from where the car happened to be.',
                    'Shoulder level with the second line, then full wheel.',
                    'Same bay from too close, right, too wide: feel the three.',
                ),
                Write::speed(
                    'First or reverse, at a creep; stop before the end block is felt.',
                    'Wheel and eyes need the time; touching an end block fails an assessment.',
                    'Turning the wheel faster than the car is slowed.',
                    'Starting place missed and made up for with pace.',
                    'Stop, wheel, creep: three things one after the other.',
                    'Into the bay in no less than thirty seconds.',
                    'Clutch at the biting point, brake to steady.',
                ),
                Write::look(
                    'All round before and during; where the corner goes, then where the tail goes; out for later.',
                    'A space is left more blindly than it is entered.',
                    'Only the line beside the door.',
                    'Too fast to leave it.',
                    'Corner, other corner, rear; again.',
                    'The instructor stands anywhere round the car; it stops whenever they move.',
                ),
            ],
            Section::MovingOff, 'Park in a space of your choice.', Sketch::Bay, [], 'parking, parallel, reverse bay, {car park}',
        );
    }

    public static function longMoveOff(): Routine
    {
        return new Routine(
            RoutineCode::LongMoveOff, 'Large vehicle joining traffic', 'A long vehicle from a standstill into a busy road.',
            '[Stay in gear through repeated stops; mirrors|Mirrors] along both flanks once moving.',
            [
                Write::mirrors(
                    'Scan for a natural gap first, all mirrors in turn, for half a minute or so.',
                    'A gap that comes by itself asks nothing of anybody.',
                    'Signal on first, mirrors afterwards.',
                    'In a hurry before the wheels have turned.',
                    'Look until the pattern of the traffic is known.',
                    'Stand for three minutes calling every gap that would have done.',
                ),
                Write::signal(
                    'If none comes in 30 to 40 seconds, signal to ask.',
                    'A signal at once makes those behind brake; after a while it is a polite question.',
                    'At once, and the stream bunches up behind the mirror.',
                    'No gap was looked for, so one had to be made.',
                    'Half a minute by the clock before the hand moves.',
                    'Count aloud from the first look to the signal.',
                ),
                Write::speed(
                    '[In gear, ready|Ready], away gently but without a pause when somebody holds back.',
                    '[Neutral under nerves means revs, no move, perhaps a roll back.|A moment given is gone at once.]',
                    '[Neutral|Not ready] in the moment that was given.',
                    'Signal given and then not expected to work.',
                    '[In gear|Ready] before the signal goes on.',
                    'Ten starts from a standstill with a word from the instructor as the gap.',
                    'Gear taken before the signal.',
                ),
                Write::look(
                    'Far mirror, near mirror, ahead, far mirror; who holds back, and does the next one know it.',
                    'The one who gives room is not the one who hits.',
                    'Going on one flashed headlamp.',
                    'Away before the second car was seen.',
                    'The one behind the one that waits decides.',
                    'From film or roadside: say who has yielded and who has not.',
                ),
            ],
            Section::LongVehicles, 'Move off when there is room.', Sketch::Kerb, [], '{lorry}, truck, trailer, asking for room',
        );
    }
}
