<?php

namespace App\Contract\Shapes;

use App\Contract\Shapes;
use NobleTurn\Core\Circuit\Order;
use NobleTurn\Core\Compute\Out;

/** Circuits that are kept, test centres, and measured drives. */
final class Circuits
{
    /** @return array<string, array<string, mixed>> */
    public static function shapes(): array
    {
        $drive = [
            'from' => Out::text('site; null where the school lies', nullable: true), 'to' => Out::text('site; null where the school lies', nullable: true),
            'time_s' => Out::integer('driven'), 'distance_m' => Out::integer('driven'),
        ];
        $site = ['site' => Shapes::id()];

        return [
            'KeptCircuit' => Out::object([
                'id' => Shapes::id(), 'name' => Out::text(''), 'minutes' => Out::integer('of a lesson'), 'order' => Out::choice(Order::class),
                'ways' => Out::list(Out::object($site + [
                    'from' => Out::text('arm'), 'to' => Out::text('arm'), 'routine' => Shapes::ref('RoutineCode'), 'rounds' => Out::integer(''),
                ]), 'as they were taken in'),
                'shared' => Out::flag('seen by everybody in the school'), 'rehearsal' => Out::flag('driven as an assessment is'),
                'note' => Out::text('', nullable: true), 'centre_id' => Out::text('the test centre it starts from and ends at', nullable: true),
                'by' => Out::text('who keeps it'), 'mine' => Out::flag(''), 'may_change' => Out::flag('whoever asks'),
            ]),
            'WayAsked' => Out::object([
                'name' => Out::text('of the way'), 'tool' => Out::text('of the core; null where the way has no plan', nullable: true),
                'inputs' => Out::maybe(Shapes::byName((object) []), 'null where it has none'),
            ]),
            'Gpx' => Out::object(['gpx' => Out::text('GPX 1.1')]),
            'DriveMeasured' => Out::object(['id' => Shapes::id()] + $drive + ['driven_at' => Shapes::moment()]),
            'DrivesMeasured' => Out::object([
                'measured' => Out::list(Out::object($drive + ['times' => Out::integer('measured so often: the middle of them')])),
                'drives' => Shapes::listOf('DriveMeasured'),
            ]),
            'TrackRead' => Out::object([
                'drives' => Out::list(Out::object($drive + [
                    'driven_at' => Shapes::moment(), 'stood_s' => Out::integer('at the kerb, taken out'), 'known' => Out::flag('it came before'),
                ]), 'in the order driven'),
                'points' => Out::integer('of the track'), 'time_s' => Out::integer('from its first to its last'),
                'left_out' => Out::list(['type' => 'string'], 'sentences on what was not read or not measured'), 'kept' => Out::integer('so many drives'),
            ]),
            'Centre' => Out::object([
                'id' => Shapes::id(), 'name' => Out::text(''), 'latitude_deg' => Out::number('WGS84', nullable: true),
                'longitude_deg' => Out::number('WGS84', nullable: true), 'arrival' => Out::text('when and where to be there', nullable: true),
                'bays' => Out::text('which are used, and how', nullable: true), 'ways_in_and_out' => Out::text('', nullable: true),
                'checks' => Out::list(['type' => 'string'], 'asked at the car'),
                'traps' => Out::list(Out::object($site + ['note' => Out::text('', nullable: true)]), 'where tests are failed'),
                'note' => Out::text('', nullable: true),
            ]),
        ];
    }
}
