<?php

namespace App\Contract\Shapes;

use App\Contract\Shapes;
use NobleTurn\Core\Compute\Out;

/** Who is signed in, and where. */
final class Account
{
    /** @return array<string, array<string, mixed>> */
    public static function shapes(): array
    {
        return [
            'User' => Out::object([
                'id' => Shapes::id(), 'name' => Out::text('shown to colleagues'), 'email' => Out::text('signs in with it'),
                'role' => Shapes::ref('Role'),
            ]),
            'Role' => Out::choice(['owner', 'instructor']),
            'School' => Out::object([
                'id' => Shapes::id(), 'name' => Out::text(''), 'time_zone' => Out::text('of the IANA database'),
                'colleagues_read' => Out::flag('whether instructors read each other’s lessons'),
                'latitude_deg' => Out::number('where it lies', nullable: true), 'longitude_deg' => Out::number('where it lies', nullable: true),
            ]),
            'SignedIn' => Out::object(['user' => Shapes::ref('User'), 'school' => Shapes::ref('School'), 'rules' => Shapes::ref('Rules')]),
            'NobodySignedIn' => Out::object([
                'user' => ['type' => 'null'], 'first_run' => Out::flag('whether the first school is still to be set up'),
                'packs' => Shapes::listOf('PackLine') + ['description' => 'for the first school; empty where there is one'],
            ]),
            'Session' => ['oneOf' => [Shapes::ref('SignedIn'), Shapes::ref('NobodySignedIn')]],
            'Device' => Out::object([
                'id' => Out::text('to end it with'), 'here' => Out::flag('the one that asks'), 'device' => Out::text('as far as its browser says'),
                'address' => Out::text('of its network', nullable: true), 'last_at' => Shapes::moment(),
            ]),
            'Said' => Out::object(['message' => Out::text('sentence for the user')]),
            'Problem' => Out::object([
                'message' => Out::text('sentence for the user'),
                'errors' => Shapes::byName(Out::list(Out::text('what is allowed')), 'by field, where the input was at fault'),
            ], ['errors']),
        ];
    }
}
