<?php

namespace App\Contract\Shapes;

use App\Contract\Shapes;
use App\Contract\ToolShapes;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Road\Road;
use NobleTurn\Core\Road\RoadKind;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Trade\Step;

/** Places with their roads, pages of the bench kept with them, and cars. */
final class Places
{
    /** @return array<string, array<string, mixed>> */
    public static function shapes(): array
    {
        $place = Out::object([
            'id' => Shapes::id(), 'name' => Out::text(''), 'routine' => Shapes::ref('RoutineCode'), 'note' => Out::text('', nullable: true),
            'site_id' => Out::text('the site it is a way through; null for one described by itself', nullable: true),
            'from_arm' => Out::text('of that site', nullable: true), 'to_arm' => Out::text('of that site', nullable: true), 'road' => Shapes::ref('Road'),
        ]);
        $vehicle = Out::object([
            'id' => Out::text('of a car of the school, or the name of a kind'), 'name' => Out::text(''),
            'transmission' => Out::choice(['manual', 'automatic']), 'controls' => Out::choice(['standard', 'hand']),
            'length_m' => Out::number('overall'), 'width_m' => Out::number('without mirrors'),
            'figures' => ['description' => 'what else is known of it'] + Shapes::ref('VehicleFigures'),
        ]);

        $picture = [
            'id' => Shapes::id(), 'site_id' => Shapes::id(), 'arm' => Out::text('id of the road it hangs on'), 'note' => Out::text('', nullable: true),
            'width' => Out::integer('pixels'), 'height' => Out::integer('pixels'),
            'lines' => Out::list(Out::list(Out::list(['type' => 'number']), 'a line'), 'drawn on it, in shares of its width and height'),
        ];

        return [
            ...self::roads(),
            'Place' => $place,
            ...self::sites(),
            'Picture' => Out::object($picture),
            'PictureShown' => Out::object($picture + ['image' => Out::text('the JPEG, as the address of an image')]),
            'PlaceWithDrawings' => Shapes::with($place, ['drawings' => Shapes::listOf('Drawing')]),
            'Planned' => ToolShapes::planned(),
            'ToolAsked' => ToolShapes::any(),
            'Asked' => Out::object([
                'tool' => Out::text('of the core'), 'inputs' => Shapes::byName((object) []), 'version' => Out::text('of the core that was asked'),
            ]),
            'Drawing' => Out::object([
                'id' => Shapes::id(), 'place_id' => Shapes::id(),
                'lesson_id' => ['type' => ['string', 'null'], 'description' => 'for the brief of this lesson only'], 'title' => Out::text(''),
                'page' => Out::choice(Toolbox::names(), 'of the bench'), 'state' => Out::text('query of its address'),
                'asked' => Shapes::refOrNull('Asked') + ['description' => 'what its tool was asked; null for one of before this was kept: it stays a link'],
            ]),
            'Vehicle' => $vehicle,
            'VehicleFigures' => ToolShapes::vehicleFigures(),
            'VehicleUnit' => Out::object([
                'wheelbase_m' => Out::number(''), 'width_m' => Out::number(''), 'front_overhang_m' => Out::number(''),
                'rear_overhang_m' => Out::number(''), 'hitch_offset_m' => Out::number(''),
            ]),
            'VehicleKind' => Shapes::with($vehicle, ['electric' => Out::flag(''), 'units' => Shapes::listOf('VehicleUnit')]),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private static function sites(): array
    {
        $site = [
            'id' => Shapes::id(), 'name' => Out::text(''), 'kind' => Out::choice(SiteKind::class), 'pack' => Out::choice(RulePacks::codes(),
                'whose law holds there'),
            'latitude_deg' => Out::number('WGS84', nullable: true), 'longitude_deg' => Out::number('WGS84', nullable: true),
            'note' => Out::text('', nullable: true),
        ];
        $way = ['from' => Out::text('arm'), 'to' => Out::text('arm'), 'routine' => Shapes::ref('RoutineCode')];
        $remarks = Out::list(Out::object($way + [
            'note' => Out::text('', nullable: true), 'difficulty' => ['enum' => ['easy', 'middling', 'hard', null]],
        ], ['note', 'difficulty']), 'what instructors say of its ways');
        $arms = Toolbox::input('site')->properties()['arms'];

        return [
            'SiteArm' => ToolShapes::shared($arms['items']),
            'Site' => Out::object($site + [
                'arms' => Shapes::listOf('SiteArm'), 'remarks' => $remarks,
                'used' => Out::list(Out::object($way + ['place_id' => Shapes::id()]), 'ways that lessons use'),
            ]),
            'PastOfWay' => Out::object($way + [
                'rounds' => Out::integer('driven'), 'taught' => Out::integer('of those shown or talked through: they say nothing of what went wrong'),
                'learners' => Out::integer('who drove them'), 'levels' => Shapes::byName(Out::integer('learners of that level')),
                'last_on' => Out::text('date'),
                'wrong' => Out::list(Out::object([
                    'step' => Out::choice(Step::class), 'fault' => Out::text('a kind of it; null where none was said', nullable: true),
                    'rounds' => Out::integer('in which it was prompted, missed or worse'), 'learners' => Out::integer('to whom that happened'),
                ]), 'the most often first'),
                'lengths' => Out::list(Out::object([
                    'on' => Out::text('date'), 'length_m' => Out::integer('at the speed that was kept'), 'seconds' => Out::number('from one press to the next'),
                ]), 'timed with the one key while it was driven, the latest first'),
            ]),
            'SitesGeoJson' => Out::object([
                'type' => ['const' => 'FeatureCollection'],
                'features' => Out::list(Out::object([
                    'type' => ['const' => 'Feature'], 'id' => Shapes::id(),
                    'geometry' => Out::maybe(Out::object([
                        'type' => ['const' => 'Point'], 'coordinates' => ['type' => 'array', 'items' => ['type' => 'number'], 'minItems' => 2, 'maxItems' => 2],
                    ]), 'null where nobody knows where it lies'),
                    'properties' => Out::object(array_intersect_key($site, ['name' => 0, 'kind' => 0, 'pack' => 0, 'note' => 0]) + [
                        'arms' => Shapes::listOf('SiteArm'), 'remarks' => $remarks,
                    ]),
                ])),
            ]),
            'SitesIn' => Out::object([
                'rows' => Out::list(Out::object([
                    'line' => Out::integer('which feature, from 1'), 'name' => Out::text(''), 'what' => Out::choice(['new', 'changed', 'same', 'refused']),
                    'message' => Out::text('why, or what lies near', nullable: true),
                ])),
                'whole' => Out::flag('none is refused'), 'kept' => Out::integer('so many were kept'),
            ]),
            'SiteNear' => Out::object([
                'site' => Shapes::id(), 'distance_m' => Out::integer('as the crow flies'), 'driven_m' => Out::integer('by road, about'),
                'time_s' => Out::integer('of driving, about, outside the busy hours'),
            ]),
            'SiteLine' => Out::object($site + [
                'arms' => Out::list(Out::object(['id' => Out::text(''), 'name' => Out::text(''), 'bearing_deg' => Out::number('clockwise from north')])),
                'ways' => Out::list(Out::object($way + [
                    'score' => Out::number('how hard, 0 to under 1: where an instructor says so, the middle of what is called that'),
                    'words' => Out::choice(['easy', 'middling', 'hard']),
                    'overruled' => Out::flag('an instructor says how hard it is'), 'note' => Out::text('of an instructor', nullable: true),
                ])),
                'used' => Out::integer('ways that lessons use'),
            ]),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private static function roads(): array
    {
        $kinds = [];
        $facts = [];
        foreach (RoadKind::cases() as $kind) {
            $kinds[ucfirst($kind->value).'Road'] = ToolShapes::shared(Road::schema($kind));
            $facts += Road::schema($kind)['properties'];
        }
        $facts = [
            'kind' => Out::choice(RoadKind::class, 'follows from the routine'),
        ] + array_diff_key($facts, ['kind' => 0, 'version' => 0]) + ['version' => ['const' => Road::VERSION]];

        return $kinds + [
            'Road' => [
                'oneOf' => array_map(Shapes::ref(...), array_keys($kinds)),
                'discriminator' => [
                    'propertyName' => 'kind',
                    'mapping' => array_combine(
                        array_column(RoadKind::cases(), 'value'),
                        array_map(static fn (string $name): string => Shapes::ref($name)['$ref'], array_keys($kinds)),
                    ),
                ],
            ],
            'RoadFacts' => [
                'description' => 'what can be measured of a road; which of it a place takes depends on its routine',
            ] + ToolShapes::shared(Out::object($facts, array_keys($facts))),
        ];
    }
}
