<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Routine\Variant;
use NobleTurn\Core\Trade\RoutineCode;

/** Moving off, pulling up, and standing well. Common practice, no source. */
final class MovingOff
{
    public static function moveOff(): Routine
    {
        return new Routine(
            RoutineCode::MoveOff, 'Move off from the {kerb}', 'From rest at the side of the road into the stream.', 'Cancel; mirrors; speed up to the stream.',
            [
                Write::mirrors(
                    '[Gear and biting point prepared|In drive, foot on the brake], then all round: {near} shoulder, {near} mirror, interior, ahead, {off} '
                        .'mirror, {off} shoulder.',
                    'A standing car is expected to stand: nobody out there allows for it moving.',
                    'Only the {off} mirror; the cycle beside the rear wheel is in none.',
                    'The feet were still being sorted out, and the eyes followed them.',
                    'Prepare first, hands and feet at rest; then look, and go while it is fresh.',
                    'Parked: the instructor stands somewhere round the car, the learner says where, five times.',
                ),
                Write::signal(
                    'Signal {off} if it helps somebody, while there is still time for it to be read.',
                    'It asks for room; given with the move it only reports it.',
                    'A signal into a passing stream, ticking for a minute, that makes others brake.',
                    'The mirrors were a ritual: what was in them was not used.',
                    'Wait for the gap, then signal, then go: the signal announces a move that is about to happen.',
                    'At the roadside: call “now it would help”, “now it would not” for ten cars.',
                ),
                Write::speed(
                    'A little {accelerator}, the car held ready, brake off last of all.',
                    'A car that is ready leaves at once, and the gap that was seen is still there.',
                    '[Stalled or rolled|Rolled] back in the gap.',
                    'Signal on and gap seen before the car was ready to use either.',
                    'Ready first: [hold the biting point for five seconds|in drive and held on the brake] before looking.',
                    'Five starts on the flat and five uphill, nobody about, eyes on a point far ahead.',
                    'Biting point found and held still.',
                ),
                Write::look(
                    'One last look over the {off} shoulder, then eyes to where the car will go.',
                    'What is seen in no mirror is what is hit.',
                    'Going on a look that is three seconds old.',
                    'The car was not ready when the look was taken, and the time went into the feet.',
                    'Look and go are one movement: not gone after the look means look again.',
                    'The instructor says “wait” at random just after the shoulder look; the learner starts the round again.',
                    watch: 'Whether the last look came just before the wheels turned.',
                ),
            ],
            Section::MovingOff, 'When you are ready, move off.', Sketch::Kerb,
            [
                new Variant('Behind a parked car', 'Pull back and steer out at a walk; the view {off} opens late, so creep.'),
                new Variant('Uphill', 'The engine must already pull when the brake goes.', ['gradient' => 0.08]),
                new Variant('Downhill', 'Foot brake[, second gear where it is steep|], and the brake alone lets it roll.'),
            ],
            'start, set off, stalls, rolls back, biting point, blind spot',
        );
    }

    public static function pullUp(RoutineCode $code): Routine
    {
        return new Routine(
            $code, '{Pull up} on the {near}', 'A stop beside our own {kerb}, chosen by the driver.',
            'Secure, cancel, [neutral|park]; mirror and shoulder before a door opens.',
            [
                Write::mirrors(
                    'Choose the place first: legal, safe, convenient. Then interior and {near} mirror.',
                    'Somebody behind has to be able to go round; a cycle may be on the {near}.',
                    'Braking at the word “stop” and looking afterwards.',
                    'The direction was heard as “at once”.',
                    'Say the place aloud first: “after the blue door”.',
                    'A quiet street: name ten places one would not stop at, and why.',
                ),
                Write::signal(
                    'Signal {near} past the last driveway or side road before the place.',
                    'Before it, the signal would seem to mean a turn.',
                    'Signal at the side road before the place: somebody pulls out on it.',
                    'The mirrors were done late and the signal took what place was left.',
                    'Count the openings: the signal belongs after the last.',
                    'Three stops on a road with driveways, the learner saying “past the last” each time.',
                ),
                Write::position(
                    'Move in early, so that the car has room to straighten: parallel and close.',
                    'A car that swings in at the last moment ends askew, with its tail out.',
                    'Level with the place before swinging in.',
                    'The signal came so late that nobody dared to move earlier.',
                    'Steer in as soon as the signal is seen, one hand’s breadth at a time; straighten looking far ahead.',
                    'Roll along a long {kerb} at walking pace, a hand away, for twenty metres; then stop.',
                ),
                Write::speed(
                    'Brake gently all the way in, to a stop without a nod.',
                    'Slow is what makes parallel easy.',
                    'Still fast when the {kerb} comes near, then a hard stop or a touched {tyre}.',
                    'All the attention was on the distance from the {kerb}.',
                    'Be at walking pace a car’s length before the place.',
                    'Stop at a named lamp post, bumper level, three times.',
                    'Clutch only for the last length.',
                ),
                Write::look(
                    'Far along the {kerb} while steering in; people at its edge; before opening a door, mirror and shoulder.',
                    'The car goes where the eyes are, and people at a {kerb} step back and forth.',
                    'Looking down at the {kerb} beside the {bonnet}.',
                    'Too fast to trust the far look.',
                    'Slower, and the eyes up: the reference point tells the distance.',
                    'The learner stops by reference point alone; the instructor opens the door to measure.',
                ),
            ],
            Section::MovingOff, '{Pull up} on the {near} at the next convenient place, please.', Sketch::Kerb,
            [
                new Variant('Uphill', 'The brake comes late and light; wheels turned so that it rolls against the {kerb}.', ['gradient' => 0.08]),
                new Variant(
                    'Between driveways', 'The signal waits for the last one; the place may be the one after.',
                    ['openings' => [['side' => '{near}', 'from_m' => 60, 'to_m' => 52]]],
                ),
            ],
            'stop, park, convenient place, askew, too far from the kerb',
        );
    }

    public static function pullUpAcrossAndReverse(): Routine
    {
        return new Routine(
            RoutineCode::PullUpRightReverse, '{Pull up} on the {off}, back two car lengths, rejoin',
            'A long clear {kerb} on the other side; assessed on observation, accuracy, control.',
            'Prepare; ahead, all round from {off} to {near}, {near} shoulder; signal; creep where the view is blocked; mirrors.',
            [
                Write::mirrors(
                    'Choose the place, not behind a parked car and not opposite one. Interior, {off} mirror, {off} shoulder.',
                    'The car goes across two streams: one comes from behind, one towards us.',
                    'The shoulder left out, because the mirror was empty.',
                    'The place was chosen so late that everything after it ran.',
                    'The place is named before the first mirror.',
                    'Drive past three such places saying which is best and what is wrong with the others.',
                ),
                Write::signal(
                    'Signal {off}, early enough for both streams.',
                    'Stopping on the wrong side is what nobody expects.',
                    'Cancelled by the small steering and not put on again.',
                    'Mirrors and signal came as one, and nobody heard it go off.',
                    'Listen for it; a glance at the tell-tale after the first steering.',
                    'Ten small lane moves with the signal on, putting it back each time it drops.',
                ),
                Write::position(
                    'Up to the {centre} as for a turn; cross early and gradually; run along the far {kerb} until car and wheels are straight.',
                    'Crossing gradually leaves the tail in; straight wheels make the way back easy.',
                    'Crossing late and sharply, ending with the nose in and the tail out.',
                    'The oncoming gap was waited for without a signal they could read.',
                    'Reference points: one says “steer now”, one says “about to touch”.',
                    'Twice along the {kerb} at a walk, calling the reference points, without stopping.',
                ),
                Write::speed(
                    'Give way to oncoming traffic, walk up to the place, stop. Backwards at a slow walk, by brake or a little {accelerator} as the slope asks.',
                    'At a walk there is time to look and to correct by small amounts.',
                    'Backwards faster than the eyes can go round.',
                    'The car stood askew to begin with, and speed was to mend it.',
                    'Straight first; then so slowly that a step back would stop beside it.',
                    'One car length back in twenty seconds, stopping twice on the way.',
                    'Biting point held still; brake to steady.',
                ),
                Write::look(
                    'Ahead, {off} shoulder, {off} mirror, interior, {near} mirror, {near} shoulder, rear window; then mainly out of the rear window. Stop '
                        .'for anybody near and begin again.',
                    'A reversing car gives way to everybody.',
                    'Into one mirror all the way; the person at the drive is not in it.',
                    'Too fast for more than the mirror.',
                    'Stop, look all round, go on: stopping is never a fault.',
                    'The instructor walks round the car; it must stand whenever they are within ten steps.',
                    watch: 'The all-round look before and during, and the stop for anybody near.',
                ),
            ],
            Section::MovingOff, '{Pull up} on the {off} when it is safe, please; then back about two car lengths and rejoin.', Sketch::FarKerb,
            [
                new Variant('Blocked behind', 'The exercise is ended, another one later; roll forward to see before leaving.'),
                new Variant('Boxed in', 'Window down to listen; back as far as possible, lean, use reflections and other cars’ windows.'),
                new Variant('About to touch', 'Never wait for contact: look round, pull forward, adjust, stop, look, again.'),
            ],
            'reverse, exercise, backing, kerb, reference point',
        );
    }

    public static function queueStop(): Routine
    {
        return new Routine(
            RoutineCode::QueueStop, 'Stop in a queue', 'Behind standing traffic.', 'Mirrors again just before and as the car pulls away.',
            [
                Write::mirrors(
                    'Interior as the queue is seen; again once stopped; both door mirrors before it moves.',
                    'The car behind may not have seen the queue; cycles on the {near} and motorcycles on the {off} come up while we stand.',
                    'Nothing looked at until the car ahead has gone.',
                    'The queue was seen late, and the brake came before the eyes.',
                    'The brake lights far ahead are the call for the mirror.',
                    'Town traffic: interior mirror whenever any car ahead brakes, counted aloud.',
                ),
                Write::speed(
                    'Off the {accelerator} early, a long light brake; stop with the {tyres} of the vehicle ahead in view; secure.',
                    'Room to pull out if it cannot move, and to let somebody behind stop too.',
                    'Up to the bumper, then a hard stop.',
                    'Nobody behind was looked for, so there was no reason to be gentle.',
                    'See {tyres} and a strip of road.',
                    'Five stops with the instructor measuring the gap in steps.',
                    'Clutch for the last two lengths.',
                ),
                Write::look(
                    'Through the windows of the queue to the lights; what will move first; who may come between.',
                    'Who reads the queue moves with it and not after it.',
                    'Moving because the car ahead moves, over a crossing or into a box.',
                    'Stopped so close that nothing could be seen.',
                    'Is there room beyond? Only then over anything that must stay empty.',
                    'The learner says “they go in three, two, one” from what is seen further ahead.',
                ),
            ],
            Section::MovingOff, 'Stop behind the queue.', Sketch::Queue,
            [
                new Variant('Uphill', 'Parking brake; [the biting point|a little {accelerator}] before it goes.', ['gradient' => 0.06]),
                new Variant('Somebody close behind', 'A longer, lighter brake and more room ahead.', ['close_follower' => true]),
            ],
            'traffic jam, standing, tyres, creeping',
        );
    }
}
