<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Routine\Variant;
use NobleTurn\Core\Trade\RoutineCode;

/** Passing a moving vehicle, and the hands and feet it all rests on. Common practice, no source. */
final class OvertakingAndControl
{
    public static function overtake(): Routine
    {
        return new Routine(
            RoutineCode::Overtake, '{Overtake} on a single carriageway',
            'Needed, legal, with a long view; not near bends, brows, dips or {junctions}.', 'Cancel; steady speed; gap.',
            [
                Write::mirrors(
                    'Interior and {off} mirror before closing up; again before going out; {near} before coming back.',
                    'Somebody may already be doing it to us.',
                    'Once, at the beginning, and then the road ahead only.',
                    'The chance was seen and everything else forgotten.',
                    'Chance, mirror, position, mirror.',
                    'On a {dual carriageway}: the whole routine, three times, nobody oncoming.',
                ),
                Write::signal(
                    'Signal {off} before the move out, {near} before the move back.',
                    'It is for the one behind and for the one we pass.',
                    'Missing, because it went so fast.',
                    'The second mirror was left out, and the signal hangs on it.',
                    'No signal, no move.',
                    'Say “mirror, signal” aloud at each move.',
                ),
                Write::position(
                    'Back at the pack’s seconds until a chance is likely, then a little {off}, to see past it.',
                    'A little {off} shows the road that the one ahead hides.',
                    'Close behind with no view, or out before anything was decided.',
                    'No signal of intention to oneself: half wanting to.',
                    'Two places: waiting place, going place.',
                    'Change between the two places behind a steady van, without going.',
                ),
                Write::speed(
                    '[Third, the|The] {accelerator} right down: least time on the wrong side; the rev counter says it is safe.',
                    'Each second out there is bought with sight.',
                    '{Accelerator} half down, side by side.',
                    'From the waiting place with too far to go.',
                    'If it is right, all of it; if not, none.',
                    '{Accelerator} right down from {mph:40} to {mph:50} on an empty road: hear what that is.',
                    'The gear before the move, not in it.',
                ),
                Write::look(
                    'Far ahead, the inside of the bend, openings on both sides; back when the one passed is seen behind. Not safe: drop back, and that '
                        .'is good.',
                    'Turning back is the decision that is hardest to praise and most worth it.',
                    'Eyes on the vehicle beside us.',
                    'Too little in hand to look anywhere else.',
                    'Dropping back is marked as a right decision.',
                    'Ten chances from behind a {lorry}: “go” or “no”, and what decided.',
                ),
            ],
            Section::Overtaking, 'You may pass this one if you judge it right.', Sketch::Slow,
            [
                new Variant('Rehearsal on a {dual carriageway}', 'Everything but the oncoming traffic.'),
                new Variant('Tractor that turns off', 'Hold at the waiting place: it solves itself.'),
            ],
            'passing, slow vehicle, tractor, wrong side, rural',
        );
    }

    public static function seatAndHands(): Routine
    {
        return new Routine(
            RoutineCode::SeatAndHands, 'Seat, hands, steering', 'Before anything else, and whenever the car wanders.',
            'Shoulders down; check it again after ten minutes.',
            [
                Write::position(
                    'Arms slightly bent, shoulders on the seat back, elbows low; on straights only guide.',
                    'Tense shoulders make the car wander; a wheel pulled from the shoulders comes in jerks.',
                    'Hanging on the wheel, knuckles white.',
                    'The seat was set for the pedals only.',
                    'Wrist on the rim’s top with the shoulder still on the seat.',
                    'Drop the hands to the lap and back at each red.',
                ),
                Write::speed(
                    'Wheel turned as the car moves, unwound before it is straight.',
                    'Dry steering tears the {tyres} and the wrist; late unwinding swings the tail of the turn.',
                    'Too much wheel meets parked cars, too little the oncoming lane.',
                    'Hands had no place to come back to.',
                    'Hands return to their place after each turn.',
                    'Figures of eight at a walk in an empty {car park}.',
                ),
                Write::look(
                    'Where the car is to end up; the markings show where.',
                    'The hands follow the eyes without being told.',
                    'At the {kerb} beside us.',
                    'Faster than the eyes were ahead.',
                    'Eyes to the end of the bend before the wheel moves.',
                    'Slalom with the instructor holding up a number at the far end.',
                ),
            ],
            Section::Control, 'Let us set the seat and the hands.', Sketch::Car, [], 'steering, wanders, tense, grip, posture',
        );
    }

    public static function gearChange(): Routine
    {
        return new Routine(
            RoutineCode::GearChange, 'Change gear', 'Up and down, one at a time or in a block.', 'Hand back to the wheel.',
            [
                Write::position(
                    'Hand and foot ready, the car steady and straight, the other hand alone at the wheel.',
                    'Most of a change is its preparation.',
                    'The car leans towards the lever.',
                    'Both hands worked: one should have been told to hold still.',
                    'The hand that stays does nothing.',
                    'Engine off: lever through all gears, eyes far ahead, wheel untouched.',
                ),
                Write::speed(
                    'Clutch down briskly, {accelerator} off straight after, lever in about a second, revs matched, clutch up. '
                    .'Up: let them fall to meet; down: add some.',
                    'Matched revs make a change that nobody feels; a block change leaves time for the road.',
                    'All mind on the lever, pedals forgotten: the engine races or the car nods.',
                    'Changed before hand and foot were ready.',
                    'Smooth first, under two seconds once practised.',
                    'Third, second, third at a steady {mph:20}; then with the instructor naming the revs.',
                    'Clutch, {accelerator}, lever, revs, clutch.',
                ),
                Write::look(
                    'Ahead all the time; a gear is felt.',
                    'A second at {mph:30} is three car lengths.',
                    'Down at the lever.',
                    'The lever was pushed, not guided, and did not go home.',
                    'Palm shape says which gear.',
                    'Name what is ahead while changing, without a break in the sentence.',
                ),
            ],
            Section::Control, 'Change to the gear you think right.', Sketch::Car,
            [new Variant('Block change', 'Third to fifth after joining; fifth to second before a turn: the speed first, then one change.')],
            'clutch, jerks, revs, lever, looks down',
        );
    }

    public static function creep(): Routine
    {
        return new Routine(
            RoutineCode::Creep, 'Creep', 'Below walking pace: queues, closed views, bays.', '[Clutch up, or a stop: never half for long.|On, or a stop: '
                .'never held on the {accelerator} against the brake.]',
            [
                Write::mirrors(
                    'Interior before rolling on, {near} mirror while doing so.',
                    'Beside a creeping car people and cycles go faster.',
                    'None: it is only a metre.',
                    'Creeping felt like standing.',
                    'A metre is a move.',
                    'Queue of ten moves, mirror at each.',
                ),
                Write::speed(
                    'Gas enough to hold it, brake to steady; downhill by brake alone.',
                    'Two small things hold it better than one large one.',
                    '[Clutch up and down like a switch.|Brake off and on like a switch.]',
                    'Nobody was looked for, so it was to be over quickly.',
                    'Hold still for five seconds, then a foot forward.',
                    'Along a tape measure: ten stops, ten centimetres apart.',
                    'The clutch around the biting point, uphill above all.',
                ),
                Write::look(
                    'Forward over the wheel, to both sides as they open; stop when something comes.',
                    'The purpose of creeping is to see.',
                    'Creeping without looking: the nose out, the eyes in.',
                    'The [clutch|brake] took the attention.',
                    'Creep, stop, look; once it holds: creep and look.',
                    'Out of a closed yard with the instructor walking towards it from either side.',
                ),
            ],
            Section::Control, 'Move forward slowly until you can see.', Sketch::Car, [], '[clutch control, |]closed view, [biting point, stalls|walking pace]',
        );
    }
}
