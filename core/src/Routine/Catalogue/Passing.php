<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Direction;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Routine\Variant;
use NobleTurn\Core\Trade\RoutineCode;

/** Past things in the road, and past those who come. Common practice; the room for a door is assumed. */
final class Passing
{
    public static function parked(): Routine
    {
        return new Routine(
            RoutineCode::PassParked, 'Pass parked vehicles', 'Parked vehicles on our side with room to go by.', '{Near} mirror, and in again.',
            [
                Write::mirrors(
                    'Interior and {off} mirror before moving out.',
                    'Somebody may be passing us just there.',
                    'Moving out by feel: one parked car seems no manoeuvre.',
                    'The parked car was seen when it was already near.',
                    'Parked car far ahead: mirror now.',
                    'A street of parked cars: mirror aloud at each group, not at each car.',
                ),
                Write::signal(
                    'Signal {off} where somebody behind or oncoming is helped by it.',
                    'Mostly the place says enough; where it could mean a turn it is left out.',
                    'Ticking past every car.',
                    'What the mirror showed was not asked.',
                    'Who is helped? Nobody: none.',
                    'Ten parked cars: “yes, no” and why.',
                ),
                Write::position(
                    'Out early, with room for a door: about {m:1}. Level before the first bumper.',
                    'Early out shows the way and keeps a view past.',
                    'Close behind, then round it with a swing.',
                    'Mirror late, so the move waited.',
                    'Straight line from far back.',
                    'Cones as doors: pass them without a change of the wheel.',
                ),
                Write::speed(
                    'Slow where a door, feet or a ball could come; slower where it is narrow.',
                    'A door opens in a second.',
                    'Full speed an arm’s length from the mirrors.',
                    'The move out took so much attention that the speed stayed.',
                    'If there is less room, there is less speed.',
                    'The same row with {m:1.5} and with {m:0.7} of room: say the speed for each.',
                    'Second where it is tight.',
                ),
                Write::look(
                    'Through and under them: heads, feet, reversing lamps, front wheels that turn; oncoming; the end of the row.',
                    'What moves first is not the car.',
                    'Only at the oncoming traffic.',
                    'Too fast to look into five cars.',
                    'Head, lamp, wheel: each car gets one.',
                    'After the row: which of them had somebody in it?',
                ),
            ],
            Section::Passing, Direction::AHEAD, Sketch::Parked,
            [
                new Variant('Reversing lamps', 'Off the {accelerator} if it comes; if it only shows, on with the horn ready.'),
                new Variant('Both sides parked', 'Nobody has priority; hold back for something wide.', ['road_width_m' => 7, 'speed_mph' => 15]),
                new Variant('Somebody passing us', 'Let them go, then out.', ['passing_on' => '{off}']),
            ],
            'door, cyclist, narrow street, obstruction, squeezes',
        );
    }

    public static function meet(): Routine
    {
        return new Routine(
            RoutineCode::Meet, 'Meet oncoming traffic in a narrow place', 'Room for one where two come.', 'Mirror, out again.',
            [
                Write::mirrors(
                    'Interior mirror before slowing, {near} mirror before tucking in.',
                    'Those behind do not see who comes.',
                    'Stopping dead in front of the gap.',
                    'The oncoming car was seen and nothing else.',
                    'Oncoming: mirror.',
                    'Narrow streets: mirror at each oncoming car that will not fit.',
                ),
                Write::position(
                    'Tuck in early, only as far and as long as needed, angled so that you can see and get out.',
                    'Early means they come through without stopping.',
                    'Into the gap nose first, with no way out.',
                    'Waited to see what they do.',
                    'The first good gap, not the last.',
                    'Say the gap for each oncoming car three cars ahead.',
                ),
                Write::speed(
                    'Down so that both arrive at the gap one after the other; a stop is not needed where time does it.',
                    'Rolling slowly keeps the choice open.',
                    'Racing to the gap, or waiting half a street before it.',
                    'Placed so that only a stop was left.',
                    'Who reaches the gap first? Make it clear.',
                    'Call “me” or “them” early and be right nine times of ten.',
                    'Second, first if it stops.',
                ),
                Write::look(
                    'Behind the one that comes: is there another? People between the cars.',
                    'The second one has not seen us wait.',
                    'Out again into the second car.',
                    'Came to rest where nothing could be seen past the first.',
                    'Last one through? Mirror, out.',
                    'Count the oncoming cars before moving.',
                ),
            ],
            Section::Passing, Direction::AHEAD, Sketch::Narrow,
            [
                new Variant('Something wide', 'Hold back further; show it.'),
                new Variant('Downhill', 'The brake holds; they who climb are let come.', ['gradient' => -0.06]),
            ],
            'narrow, give and take, passing place, squeeze',
        );
    }

    public static function bus(): Routine
    {
        return new Routine(
            RoutineCode::PassBus, 'Pass a bus at its stop', 'A bus standing on our side.', '{Near} mirror, in, mirrors.',
            [
                Write::mirrors(
                    'Interior and {off} mirror while still far back.',
                    'Others have the same idea.',
                    'After moving out.',
                    'Bus read as traffic that will go on.',
                    'Bus, doors, mirror.',
                    'Name what each bus ahead is about to do.',
                ),
                Write::signal(
                    'Signal {off} once the way is seen to be clear.',
                    'It tells the driver of the bus too.',
                    'Signalled while the view was closed, then stuck with it.',
                    'Mirrors and view were both still missing.',
                    'View first.',
                    'Pull to where the road beyond can be seen, without passing.',
                ),
                Write::position(
                    'Keep back and a little {off} so as to see; out with room for whoever steps round its front.',
                    'Close behind nothing is seen.',
                    'Up to its bumper.',
                    'Signal on, so it felt like going.',
                    'Back is where the view is.',
                    'How far back must we be to see the far {kerb}? Measure it.',
                ),
                Write::speed(
                    'So slow that somebody stepping out finds us stopped; given up if it signals.',
                    'Those who got off cross in front of it.',
                    'Hurrying to be past before it goes.',
                    'Too close to see its signal, and committed.',
                    'Its signal ends ours.',
                    'Three buses: go, go, give up; say why.',
                    'Second.',
                ),
                Write::look(
                    'Oncoming first, its signal and front wheel, people boarding, the road beyond.',
                    'No passing where a queue stands before it.',
                    'Only the oncoming traffic.',
                    'Too fast past the doors.',
                    'Oncoming, wheel, feet under the front.',
                    'From the {pavement}: who crosses after the bus, and where?',
                ),
            ],
            Section::Passing, Direction::AHEAD, Sketch::Bus,
            [
                new Variant('Two buses', 'One at a time, with a place to be in between.'),
                new Variant('Close follower', 'A longer light brake: they may not see why.', ['close_follower' => true]),
            ],
            'bus stop, pedestrians, stepping out',
        );
    }
}
