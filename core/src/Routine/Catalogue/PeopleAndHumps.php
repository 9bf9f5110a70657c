<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Direction;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Routine\Variant;
use NobleTurn\Core\Trade\RoutineCode;

/** What slows us without being passed: people, humps, a siren. Common practice, no source. */
final class PeopleAndHumps
{
    public static function people(): Routine
    {
        return new Routine(
            RoutineCode::People, 'People, exits, schools, blind bends', 'Where somebody could come from what cannot be seen.',
            'Gas again once it is behind; mirrors.',
            [
                Write::mirrors(
                    'Interior as soon as the place is read.',
                    'Easing off for something unseen surprises those behind.',
                    'Mirror only when somebody has already stepped out.',
                    'The sign or the parked ice-cream van was not read as people.',
                    'What hides somebody is the hazard.',
                    'Name the hiding places of one street.',
                ),
                Write::speed(
                    'Ease off before what cannot be seen; so slow that the stop fits in what can.',
                    'Stopping takes what the table says, on a good day.',
                    'Braking in the bend or beside the child.',
                    'The mirror came with the brake.',
                    'Could I stop in what I see?',
                    'Say the distance seen and the distance needed, at ten bends.',
                    'A gear that holds the speed.',
                ),
                Write::look(
                    'Under, over and through: feet, balls, dogs, wheels, lamps; faces that have not seen us.',
                    'A face turned away has decided nothing about us.',
                    'Staring at the child on the left while another comes from the right.',
                    'Arrived too fast to look twice.',
                    'Both sides, each as if the other were empty.',
                    'Past a school: afterwards name five people and what they were about to do.',
                ),
            ],
            Section::Passing, Direction::AHEAD, Sketch::Crossing,
            [
                new Variant('People on a crossing', 'Wait until over, or as the place’s law says; nobody is waved on.'),
                new Variant('Rain', 'Hoods see nothing, and the stop is twice as long.'),
                new Variant('Cycle lane', 'Stay out; shoulder before anything {near}.'),
            ],
            'pedestrians, school, children, zebra, forecourt, bend, horse',
        );
    }

    public static function hump(): Routine
    {
        return new Routine(
            RoutineCode::Hump, 'Road hump', 'A hump, a table or a cushion across the road.', 'Gas after the rear wheels, not between.',
            [
                Write::mirrors(
                    'Interior mirror at each hump.',
                    'Those behind may know the road and not expect anybody to slow so much.',
                    'At the first of a row only.',
                    'The humps were taken as one.',
                    'Each hump, one mirror.',
                    'A row of humps: the colour of the car behind at each.',
                ),
                Write::speed(
                    'Down to {mph:11} or so for a severe one, brake off as the front wheels rise.',
                    'A braked front axle dives into it.',
                    'Brake held over the top.',
                    'The brake came at the hump because nothing was planned before.',
                    'Slow before, roll over, {accelerator} slowly.',
                    'Over the same hump at three speeds with a cup on the seat.',
                    'Second.',
                ),
                Write::look(
                    'Over it to the next; people who use it as a crossing; cars that dodge to the side.',
                    'Flat tops are crossings to many.',
                    'Eyes at the {bonnet}.',
                    'Still braking, and the eyes with it.',
                    'Eyes up as the front rises.',
                    'Name what is beyond the hump before the wheels touch it.',
                ),
            ],
            Section::Passing, Direction::AHEAD, Sketch::Hump,
            [
                new Variant('Close follower', 'Lighter and longer.', ['close_follower' => true]),
                new Variant('Downhill', 'The hill adds to every one of them.', ['gradient' => -0.06]),
            ],
            'speed bump, table, cushion, traffic calming',
        );
    }

    public static function siren(): Routine
    {
        return new Routine(
            RoutineCode::Siren, 'Siren behind', 'A vehicle with lights and horns wants to pass.', 'All round before going on: there may be a second one.',
            [
                Write::mirrors(
                    'All mirrors until it is found: where, how fast, which side.',
                    'A siren has no direction in a closed car.',
                    'Stopping at the sound.',
                    'Startled, and the foot was first.',
                    'Find it, then do something.',
                    'Radio off, window a hand open; say from where each sound comes.',
                ),
                Write::signal(
                    'Signal {near} as the place is found; {hazards} where we stand.',
                    'It tells their driver that we know.',
                    'None: they have to guess.',
                    'Not yet known where it is.',
                    'Found? Tell them.',
                    'Say “seen, going {near}” aloud.',
                ),
                Write::position(
                    'To the side where it helps, round a corner if possible, never onto a crossing, through a red or up a {kerb}.',
                    'They need one lane, not an empty road.',
                    'Into the only gap they had.',
                    'Signal and swerve in one.',
                    'Where do they want to be? Be elsewhere.',
                    'On a map of the town: for each stretch, where to go.',
                ),
                Write::speed(
                    'Ease, then stop where it helps; on a fast road slow and steady.',
                    'Sudden brakes put us where they were going.',
                    'A hard stop beside an island: blocked.',
                    'No place had been found yet.',
                    'Roll on to the place.',
                    'Say whether to roll or to stop, at ten places.',
                    'Ready in first.',
                ),
            ],
            Section::Passing, 'Carry on as you think right.', Sketch::Road, [], 'ambulance, fire engine, police, emergency',
        );
    }
}
