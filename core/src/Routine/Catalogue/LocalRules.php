<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\RoutineCode;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Routine\Variant;

/** What the law of some places adds: mostly where traffic keeps right. Common practice; the law's own figures are in the pack. */
final class LocalRules
{
    public static function rightOnRed(): Routine
    {
        return new Routine(
            RoutineCode::RightOnRed, 'Turn {turn} on red', 'Red lights with no sign against it, from the lane nearest the {kerb}.', 'Cancel; nearest lane first; mirrors.',
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
            [new Variant('Sign against it', 'Wait for green.'), new Variant('Closed view', 'Stop, creep, stop again; green may be sooner.', ['view' => 'closed'])],
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
            [new Variant('Turn across', 'As straight on, and yielding to the one opposite who came first.', ['exit' => 'left']), new Variant('Turn to the {kerb}', 'Often free while others cross.', ['exit' => 'right'])],
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

    public static function railCrossing(): Routine
    {
        return new Routine(
            RoutineCode::RailCrossing, 'Rail crossing', 'Rails across the road, with or without barriers.', 'No stop until the whole car is over; mirrors.',
            [
                Write::mirrors(
                    'Interior at the warning sign.',
                    'A stop here must not be a surprise.',
                    'At the line only.',
                    'The sign was taken for scenery.',
                    'Sign, mirror, line.',
                    'Name the first of its signs on each approach.',
                ),
                Write::speed(
                    'Slow enough to stop at the line; a full stop before it when anything flashes, sounds or moves.',
                    'A train neither swerves nor stops.',
                    'Through on the first flash.',
                    'Somebody close behind was unknown, and stopping was feared.',
                    'Flash is stop, whatever is behind.',
                    'At each crossing say where the car would stand.',
                    'A gear low enough not to need a change on the rails.',
                ),
                Write::look(
                    'Both ways along the rails, also after the barrier opens; room beyond for the whole car.',
                    'The second train hides behind the first.',
                    'Following the car ahead and standing on the rails.',
                    'Too fast to see whether there is room.',
                    'Over only when a car’s length beyond is empty.',
                    'Say “room” before the front wheels cross.',
                ),
            ],
            Section::LocalRules, 'Follow the road ahead.', Sketch::Rail,
            [new Variant('Flashing', 'Stop at the line; in gear only when it has stopped flashing.', ['light' => 'red']), new Variant('Closed view', 'Window down, radio off, walk up to it.', ['view' => 'closed', 'speed_mph' => 15])],
            'level crossing, train, barrier, rails',
        );
    }

    public static function alley(): Routine
    {
        return new Routine(
            RoutineCode::Alley, 'Out of an alley', 'From an alley or a yard across the footway.', 'As emerging from a side road; mirrors.',
            [
                Write::mirrors(
                    'Both door mirrors: walls are close.',
                    'A mirror torn off is a lesson lost.',
                    'Ahead only.',
                    'The alley was taken as a road.',
                    'Left wall, right wall, ahead.',
                    'Fold them in and see how much room that was.',
                ),
                Write::speed(
                    'Hardly more than walking pace, and a pause before the footway.',
                    'People on it have the wall before their eyes too.',
                    'The nose over the footway before the stop.',
                    'Mirrors forgotten, so the middle was not kept and the pace was to end it.',
                    'Stop where the wall ends, not where the street begins.',
                    'Stop so that a wheelchair could pass in front, five times.',
                    'First.',
                ),
                Write::look(
                    'Footway both ways, then creep, then the street both ways.',
                    'First those at arm’s length.',
                    'Street first: somebody on foot at the bumper.',
                    'Too fast for two things one after the other.',
                    'Feet, then wheels.',
                    'The instructor walks past at random; the car must stand.',
                ),
            ],
            Section::LocalRules, 'Out of the alley, please.', Sketch::Alley, [], 'driveway, yard, footway, sidewalk, walking pace',
        );
    }

    public static function backUp(): Routine
    {
        return new Routine(
            RoutineCode::BackUp, '{Pull over} and back up', 'Along a straight {kerb}, 20 to 40 ft backwards.', 'All round, signal, away.',
            [
                Write::mirrors(
                    'Interior, {near} mirror, {near} shoulder for the stop.',
                    'A cycle beside the rear wheel is in no mirror.',
                    'No shoulder: it is only the curb side.',
                    'The place was chosen late.',
                    'Place, mirrors, shoulder.',
                    'Stops along a bike lane.',
                ),
                Write::signal(
                    'Signal {near} to stop; hazards are not for driving.',
                    'Those behind go round in time.',
                    'Stopped first, signalled afterwards.',
                    'Mirrors as a formality.',
                    'Signal, two breaths, in.',
                    'Three stops, breaths counted.',
                ),
                Write::position(
                    'Straight and a little off the {kerb}; wheels straight.',
                    'Straight back begins with a straight stop.',
                    'Nose in: the way back goes out into the road.',
                    'Moved in late and at an angle.',
                    'Look far ahead while stopping.',
                    'Step out and look along the flank.',
                ),
                Write::speed(
                    'Reverse at walking pace on the brake alone, small slow corrections.',
                    'Gas in reverse is how walls are met.',
                    'Large corrections, snaking.',
                    'Began askew.',
                    'A finger’s breadth of wheel, and wait.',
                    'Back beside a line for ten car lengths.',
                    'Clutch at the biting point.',
                ),
                Write::look(
                    'Over the shoulder out of the rear window, round before and once on the way; the picture in the dash only helps.',
                    'A camera shows what is behind, not what will be.',
                    'Eyes on the screen.',
                    'Too fast to turn round again.',
                    'Body turned, hand behind the seat.',
                    'Screen covered for the first week.',
                ),
            ],
            Section::LocalRules, '{Pull over} at the curb, please, and back up in a straight line.', Sketch::Kerb, [], 'reverse, backing, straight line, curb',
        );
    }
}
