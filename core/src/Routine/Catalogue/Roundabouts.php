<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Routine\Variant;
use NobleTurn\Core\Trade\RoutineCode;

/** Roundabouts, large and small. Common practice; signals on the approach after the rule named in the pack. */
final class Roundabouts
{
    public static function roundabout(): Routine
    {
        return new Routine(
            RoutineCode::Roundabout, 'Roundabout', 'Anything with an island that is {kerb}ed or raised.',
            'Cancel; mirrors; who left beside us; read the limit.',
            [
                Write::mirrors(
                    'Interior, then the mirror towards the lane or the turn. On it: {near} mirror before each move outwards, and again on leaving.',
                    'Lanes are crossed on leaving, and a cycle may be on the {near} all the way.',
                    'Once on the approach, never on it.',
                    'Exit and lane were read too late to leave time for anything else.',
                    'Read the big sign first; then mirrors; then the marks on the floor.',
                    'Twice round an island, the {near} mirror aloud at each exit.',
                ),
                Write::signal(
                    'By the rule for our exit, unless it would suggest the wrong lane; {near} just after the exit before ours.',
                    'Those waiting go by it: a late exit signal costs each of them a gap.',
                    'Exit signal at the exit before, or none.',
                    'The mirror before moving outwards was missed, and the signal hangs on it.',
                    'Count exits aloud: “next is ours: mirror, signal”.',
                    'Same island, four exits, one after the other; the learner says when each signal belongs.',
                ),
                Write::position(
                    'Follow the lane markings, else think of a clock face; prefer the lane that brings the car out on the {near}.',
                    'The lane is the promise that others drive by.',
                    'Leaving a usable lane at the last moment because another looked better.',
                    'Signal and lane were decided apart, and did not agree.',
                    'A usable second-best lane is no fault: stay in it.',
                    'From a plan of five islands: name the lane for each exit and why.',
                ),
                Write::speed(
                    'Brake early to a roll[ in a low gear|]; {give way} to the {off}, also when nearly straight.',
                    'A slow roll often meets a gap; a stop meets only the next queue.',
                    'Racing to the line, then a hard stop and a long wait.',
                    'Lane still being changed on the last metres.',
                    'Rolling at a walk two lengths before the line.',
                    'One island six times, trying to enter without stopping and without anybody braking.',
                    'Second; first when it stops.',
                ),
                Write::look(
                    'Early to the {off}, over the island, who signals and who only goes slowly; the car alongside does not decide for us. Then to the exit.',
                    'The gap is made further back than it is used.',
                    'Head to the {off} while the car ahead has stopped again.',
                    'Too fast: there was one look, and it was spent on the {off}.',
                    'Look {off}, look ahead, look {off}; go when both say so.',
                    'Parked with a view: “that one leaves, that one goes on” before they do.',
                ),
            ],
            Section::Roundabouts, 'At the roundabout turn {turn}, please.', Sketch::Roundabout,
            [
                new Variant('First exit', 'Signal on the approach, {near} lane, hug the {near}.', ['exit' => 'left']),
                new Variant('Straight over', 'By the rule without a signal on the approach; out with one.'),
                new Variant('Further round', 'Across: signal and lane from the start where the place has it so.', ['exit' => 'right']),
                new Variant('Lights on it', 'Each set is a hazard of its own, with its own mirror.'),
                new Variant('Closed view', 'Walls or hedges: rolling slower, ready to stop.', ['view' => 'restricted']),
                new Variant('Several lanes across', 'One at a time, each with mirrors, signal, shoulder, cancel.'),
            ],
            'island, exit, lane, circulating, traffic circle, which lane',
        );
    }

    public static function mini(): Routine
    {
        return new Routine(
            RoutineCode::MiniRoundabout, 'Mini-roundabout', 'Only paint; anything {kerb}ed or raised is an ordinary one.', 'Mirrors; cancel if one was given.',
            [
                Write::mirrors(
                    'At the warning triangle; the blue sign with the {give-way line} comes right after.',
                    'It is small: everything happens in the length of a bus.',
                    'Not seen at all: the paint is worn, and the road goes on.',
                    'The triangle was not read.',
                    'Two signs, one line: find all three.',
                    'A drive that counts signs before lines.',
                ),
                Write::signal(
                    'By our exit, on the approach; an exit signal only where there is time for one.',
                    'Both hands are at the wheel on it.',
                    'Fumbling for an exit signal in the middle of the turn.',
                    'The mirror came at the line, and the signal where the wheel should turn.',
                    'Signal before the line or not at all.',
                    'Three ways out of one, counting the seconds on it.',
                ),
                Write::position(
                    'As for a turn to that side; round the paint, not over it.',
                    'Going over it tells those waiting another story.',
                    'Straight across the middle.',
                    'No signal, and no shape to the turn either.',
                    'Aim at the far edge of the paint.',
                    'A chalk circle in an empty {car park}, all ways round it.',
                ),
                Write::speed(
                    'Down to a walk.',
                    'Others are a car’s length away, and some have not seen the paint.',
                    'Arriving as at a bend.',
                    'Still moving sideways when the brake should have been on.',
                    'A walk at the line, whoever is there.',
                    'Up to the line five times so slowly that the wheels nearly stop.',
                    'Second, often first.',
                ),
                Write::look(
                    '{Off} first, then ahead, then {near}: who is on it, who goes at the same time.',
                    'Three can wait for each other, or all go at once.',
                    'Only to the {off}: the one opposite turns across.',
                    'Came too fast to look at three arms.',
                    'If in doubt show that you wait.',
                    'From the {pavement}: who should go first, each time, before anybody does.',
                ),
            ],
            Section::Roundabouts, 'At the mini-roundabout turn {turn}, please.', Sketch::Mini,
            [
                new Variant('Towards the {kerb}', 'As a tight turn with a line.', ['exit' => 'left']),
                new Variant('Across', 'Round it, not over it.', ['exit' => 'right']),
                new Variant('Long vehicle', 'It may have to go over the paint: it shows that it tries.'),
            ],
            'paint, small roundabout, double mini',
        );
    }
}
