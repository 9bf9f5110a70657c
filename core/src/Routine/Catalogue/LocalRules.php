<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Routine\Variant;
use NobleTurn\Core\Trade\RoutineCode;

/** Turns that only some laws know: on red, at an all-way stop, from a centre lane. Common practice; the law’s own figures are in the pack. */
final class LocalRules
{
    public static function rightOnRed(): Routine
    {
        return new Routine(
            RoutineCode::RightOnRed, 'Turn {turn} on red', 'Red lights with no sign against it, from the lane nearest the {kerb}.',
            'Cancel; nearest lane first; mirrors.',
            [
                Write::mirrors(
                    'Interior, {turn} mirror, {turn} shoulder for cycles.',
                    'The stop is short, and a cycle comes up in it.',
                    'None after the stop.',
                    'Red was taken as a wait, not as a turn.',
                    'Stop, mirror, shoulder.',
                    'At five reds: what came up on the {turn}?',
                ),
                Write::signal(
                    'Signal {turn} at least as far out as the law asks, and leave it on.',
                    'People waiting to cross read it.',
                    'Only after stopping.',
                    'The mirrors were done at the line.',
                    'Before the brake, as for any turn.',
                    'Name the place for the signal from the speed limit sign.',
                ),
                Write::position(
                    'The lane nearest the {kerb}, behind the line and the crosswalk.',
                    'The crosswalk belongs to those who have the walk sign.',
                    'Nose in the crosswalk.',
                    'Signal late, stop late.',
                    'Line first; creep after the stop.',
                    'Stop with the line just in sight over the {bonnet}, five times.',
                ),
                Write::speed(
                    'A full stop, wheels still, then creep to where it can be seen.',
                    'Rolling through is the commonest ticket and the commonest hit.',
                    'Almost stopped.',
                    'Place beyond the line, so that stopping seemed pointless.',
                    'Count one second with the wheels still.',
                    'Glass of water on the dashboard: it must settle.',
                    'First.',
                ),
                Write::look(
                    'Sign against it? Crosswalk both sides, {away}, those turning across on a green arrow, {turn}, {away}; not clear: it stays red.',
                    'Nobody expects us: everybody else has green.',
                    'Only {away}, and somebody on foot from the {turn}.',
                    'Rolled, so there was time for one side.',
                    'Feet first, wheels second.',
                    'From the corner: who would have been surprised?',
                ),
            ],
            Section::LocalRules, 'At the lights turn {turn}, please.', Sketch::Lights,
            [
                new Variant('Sign against it', 'Wait for green.'),
                new Variant('Closed view', 'Stop, creep, stop again; green may be sooner.', ['view' => 'closed']),
            ],
            'red light, turn on red, rolling stop',
        );
    }

    public static function allWayStop(): Routine
    {
        return new Routine(
            RoutineCode::AllWayStop, 'All-way stop', 'Every arm has a stop sign.', 'Cancel; mirrors.',
            [
                Write::mirrors(
                    'Interior as the sign is read; shoulder before a turn.',
                    'The stop is certain, and those behind may be reading a phone.',
                    'None, when nobody is at the other arms.',
                    'The sign was read as “look” and not as “stop”.',
                    'Sign: mirror.',
                    'Grid of stops: mirror at each.',
                ),
                Write::signal(
                    'Signal a turn before braking; none straight on.',
                    'The order is agreed by what each of us wants.',
                    'After the stop, when the others have decided.',
                    'Which way was not known yet.',
                    'Way first.',
                    'Say each driver’s wish before they move.',
                ),
                Write::position(
                    'As for the turn; straight on in the middle of the lane.',
                    'It is the second thing the others read.',
                    'Over the line.',
                    'Signal and place did not agree.',
                    'Bumper at the line, or at the sign where there is none.',
                    'Stop at ten lines; look out of the door at each.',
                ),
                Write::speed(
                    'A full stop at the line; then creep if the view is further on.',
                    'Arrival counts from the stop.',
                    'Slowing without stopping.',
                    'Placed beyond the line.',
                    'Feel the car settle back.',
                    'Say “stopped” only when it is.',
                    'First.',
                ),
                Write::look(
                    'Who stopped first goes first; at once: the one on the right; people before anybody. Show it, then go without a pause.',
                    'Two polite drivers wait forever, two hasty ones meet.',
                    'Going because nobody else does, into one who does.',
                    'Rolled in, so nobody knows who was first.',
                    'Count them in as they stop: one, two, we are three.',
                    'Five minutes at such a corner: name the order before it happens.',
                ),
            ],
            Section::LocalRules, 'At the stop sign turn {turn}, please.', Sketch::Crossroads,
            [
                new Variant('Turn across', 'As straight on, and yielding to the one opposite who came first.', ['exit' => 'left']),
                new Variant('Turn to the {kerb}', 'Often free while others cross.', ['exit' => 'right']),
            ],
            'four-way stop, order of arrival, stop sign',
        );
    }

    public static function centreLane(): Routine
    {
        return new Routine(
            RoutineCode::CentreLaneLeft, 'Turn {turn} from the {centre} lane', 'A lane in the middle shared with those who come.', 'Cancel; mirrors.',
            [
                Write::mirrors(
                    'Interior, {turn} mirror, {turn} shoulder.',
                    'Somebody further back may have gone into it already.',
                    'The shoulder left out.',
                    'The lane seemed to be ours.',
                    'It is a lane change and a turn.',
                    'Both parts apart: in and stop; then the turn.',
                ),
                Write::signal(
                    'Signal {turn} before entering it, and on through the wait.',
                    'Those who come want the same paint.',
                    'With the move.',
                    'Mirror and move were one.',
                    'Five ticks in our own lane.',
                    'Ten entries, ticks counted.',
                ),
                Write::position(
                    'Into it no more than 200 ft before the turn; straight in it.',
                    'It is not a lane to travel or to {overtake} in.',
                    'From far away, meeting one who waits.',
                    'Signal too early, and the car followed it.',
                    'Mark: the third driveway before.',
                    'Pace out 200 ft beside the road.',
                ),
                Write::speed(
                    'Slow in it, not before it; ready to stop.',
                    'Slowing in the through lane makes those behind brake.',
                    'Braking in our own lane, swinging in at a walk.',
                    'Entered too late to slow in it.',
                    'In, then brake.',
                    'Same driveway from 200 and from 100 ft.',
                    'Second.',
                ),
                Write::look(
                    'Opposing users, oncoming lanes one by one, the sidewalk across the driveway.',
                    'Two lanes must be clear, and then the people.',
                    'First lane clear, gone.',
                    'Still braking when the gap came.',
                    'Far lane, near lane, sidewalk.',
                    'Call each lane “clear” aloud.',
                ),
            ],
            Section::LocalRules, 'Turn {turn} into the next driveway from the {centre} lane, please.', Sketch::CentreLane,
            [new Variant('Somebody in it already', 'Stop short of them, or go on to the next.')],
            'two-way left turn lane, median',
        );
    }
}
