<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Routine\Variant;
use NobleTurn\Core\Trade\RoutineCode;

/** What goes on between hazards, before driving, and while being directed. Common practice, no source. */
final class Around
{
    public static function between(): Routine
    {
        return new Routine(
            RoutineCode::BetweenHazards, 'Between hazards', 'All the time no routine is running.', 'The next hazard is met with the mirrors already known.',
            [
                Write::mirrors(
                    'A steady round: ahead, {near}, ahead, {off}, ahead, behind, dial, signs; interior whenever the car ahead brakes.',
                    'Who always knows what is behind only has to confirm it.',
                    'No mirror for a minute on an empty road.',
                    'Nothing was happening, so nothing was looked for.',
                    'Ahead between any two looks.',
                    '“What is behind?” at random; the answer comes without a look.',
                ),
                Write::signal(
                    'None for a main road that bends and is followed; a glance into the road that joins.',
                    'A signal there says we leave it.',
                    'Signalling the bend.',
                    'The rear round was lost, and the road seemed to ask for something.',
                    'Who would be told what?',
                    'A map of bends: signal or none.',
                ),
                Write::position(
                    'The middle of the lane, by the long-dashed line where a hazard is near; let faster drivers pass.',
                    'Longer lines warn of a hazard.',
                    'Drifting to the {near} edge when somebody comes.',
                    'No signal, no plan: the place was left to chance.',
                    'Name the place: “middle, {near}, {off}” for each stretch.',
                    'Five minutes with the instructor guessing the distance to the {kerb}, then stopping to measure.',
                ),
                Write::speed(
                    'At the limit where it is right, below where it is tight, never pushed over it; no hurry towards a red or a queue.',
                    'A car that is not pressed has time.',
                    'Crawling on an open road; or pulled along by the one behind.',
                    'Placed for somebody else’s wish.',
                    'Limit, reason, speed: say all three.',
                    'Speed without the dial, then with it; ten times.',
                    'The highest gear that turns freely.',
                ),
                Write::look(
                    'Far ahead for brake lights, roofs over hedges, a bus with people standing; dull weather: headlamps by hand.',
                    'Everything comes from far away first.',
                    'The bumper ahead.',
                    'Too close and too fast to see past it.',
                    'The second car ahead is the one to watch.',
                    'Commentary for two minutes; then silence, so that attention can rest.',
                ),
            ],
            Section::Between, 'Follow the road ahead until I say otherwise.', Sketch::Road,
            [
                new Variant('Main road bends', 'Followed without a signal.'),
                new Variant('Somebody hurries behind', 'Room for them to pass, and no faster.'),
                new Variant('Narrating', 'It costs attention: the instructor talks less as the load rises.'),
            ],
            'scan, observation, following, progress, commentary',
        );
    }

    public static function vehicleCheck(): Routine
    {
        return new Routine(
            RoutineCode::VehicleCheck, 'Vehicle check', 'Before an assessment and on the first lesson in a car.', 'Belts on everybody; doors.',
            [
                Write::mirrors(
                    'Interior shows the whole rear window; door mirrors by school, checked with somebody standing beside the car.',
                    'A mirror set for the last driver shows their road.',
                    'Moved while driving.',
                    'The seat was changed afterwards.',
                    'Seat, then mirrors, then nothing more.',
                    'Set from zero in one minute; the instructor walks round and is found.',
                ),
                Write::signal(
                    'Lights, auxiliary lights, demister, horn; hand signals where asked.',
                    'What has not been tried is missing when it rains.',
                    'Searching for the demister in the rain.',
                    'Mirrors done on the move left no time for it.',
                    'Each control once with eyes, once without.',
                    'The instructor names a control; the hand finds it, eyes ahead.',
                ),
                Write::look(
                    'Round the car: {tyres}, glass, plates, what lies under it; belts on everybody.',
                    'The car is the driver’s from the moment the door shuts.',
                    'Straight in.',
                    'Controls still being looked for.',
                    'The walk round begins at the door and ends at the door.',
                    'Something is put wrong each time; it has to be found.',
                ),
            ],
            Section::Around, 'Show me that the car is ready.', Sketch::Car, [], 'mirrors, cockpit drill, first lesson, before test',
        );
    }

    public static function directions(): Routine
    {
        return new Routine(
            RoutineCode::Directions, 'Taking directions', 'Whenever somebody else says the way.', 'Repeat it in one word.',
            [
                Write::mirrors(
                    'The direction is the call for the mirrors, not for the wheel.',
                    'Given early enough there is time for the whole routine.',
                    'Braking at the word.',
                    'It was heard as “now”.',
                    'Repeat it, then mirrors.',
                    'Directions for places two streets ahead.',
                ),
                Write::position(
                    'Lane and place only after the routine’s mirrors and signal; a chained direction is kept in its order.',
                    'The second half of a chained direction is for later.',
                    'Already in the lane for the second turn at the first.',
                    'Heard, and done at once.',
                    'First this, then that: say both, do one.',
                    'Two directions in one sentence, five times.',
                ),
                Write::look(
                    'Ask again, or decline what is not safe: “not safe now, at the next”.',
                    'The driver decides; a wrong way is no fault.',
                    'Swerving to obey.',
                    'Lane lost, and the way was to be saved.',
                    'Wrong and safe beats right and late.',
                    'The instructor gives late directions on purpose; declining earns praise.',
                ),
            ],
            Section::Around, 'I shall say the way in good time; ask if it is not clear.', Sketch::Road,
            [new Variant('Chained', 'On joining take the {off} lane, then follow the signs.')],
            'directions, nervous, late, wrong way',
        );
    }

    public static function independent(): Routine
    {
        return new Routine(
            RoutineCode::Independent, 'Independent driving', 'By signs or a navigator, without directions.', 'Wrong way: go on, turn round later.',
            [
                Write::mirrors(
                    'The sign is the call for the mirrors, as the voice was.',
                    'Nobody reminds any more.',
                    'No mirrors without a voice.',
                    'The routine hung on the direction.',
                    'See the sign, say the way, mirrors.',
                    'Alternate streets with and without directions.',
                ),
                Write::signal(
                    'Only when the way is certain.',
                    'A signal by guess binds.',
                    'Signal on, off, on again.',
                    'Sign half read.',
                    'Certain or none.',
                    'Signs on cards: a second each, then the way.',
                ),
                Write::position(
                    'Lane by sign and floor; a lane that goes wrong is followed.',
                    'The next {junction} forgives; the other driver may not.',
                    'Across the marks at the last moment.',
                    'The signal was believed more than the floor.',
                    'Stay; take the wrong way well.',
                    'The instructor asks for a wrong turn and the way back.',
                ),
                Write::look(
                    'Signs far, traffic near; the navigator is heard, not looked at.',
                    'A map on a screen takes the eyes for as long as a stop.',
                    'Eyes on the screen in the {junction}.',
                    'Lane uncertain, and the screen was asked.',
                    'The voice says when, the signs say where.',
                    'Ten minutes by voice alone, screen covered.',
                ),
            ],
            Section::Around, 'Follow the signs for the harbour until I say otherwise.', Sketch::Road, [], 'navigator, signs, satnav, alone, test',
        );
    }
}
