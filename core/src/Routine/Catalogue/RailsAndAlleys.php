<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Direction;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Routine\Variant;
use NobleTurn\Core\Trade\RoutineCode;

/** Rails, alleys, and backing up along a straight kerb. Common practice; the law’s own figures are in the pack. */
final class RailsAndAlleys
{
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
            Section::LocalRules, Direction::AHEAD, Sketch::Rail,
            [
                new Variant('Flashing', 'Stop at the line; [in gear|off the brake] only when it has stopped flashing.', ['light' => 'red']),
                new Variant('Closed view', 'Window down, radio off, walk up to it.', ['view' => 'closed', 'speed_mph' => 15]),
            ],
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
                    'Signal {near} to stop; {hazards} are not for driving.',
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
                    'Brake gently to a stop. Then back at walking pace on the brake alone, small slow corrections.',
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
