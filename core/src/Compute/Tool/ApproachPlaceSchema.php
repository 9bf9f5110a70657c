<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\Island;
use NobleTurn\Core\Place\Light;
use NobleTurn\Core\Place\WayOut;

/** The road of an approach as its answer tells of it, for whoever draws it. */
final class ApproachPlaceSchema
{
    /** @return array<string, mixed> */
    public static function schema(): array
    {
        $metres = static fn (string $about): array => Out::number("{$about}, metres to the line");
        $stretch = Out::list(Out::object(['side' => Out::choice(ApproachSchema::SIDES), 'from_m' => $metres('far end'), 'to_m' => $metres('near end')]));

        return Out::object([
            'keeps' => Out::choice(ApproachSchema::SIDES), 'road_width_m' => Out::number('kerb to kerb'), 'one_way' => Out::flag('one-way'),
            'control' => Out::choice(Control::class, 'what governs the line'), 'light' => Out::choice(Light::class, 'what the lights show'),
            'exit' => Out::choice(WayOut::class, 'way out'), 'turns_off' => Out::flag('off our road into another, with no line before it'),
            'island' => Out::choice(Island::class, 'in the middle of a roundabout; null where nothing is gone round', nullable: true),
            'view_from_m' => $metres('where the view opens; negative beyond it'), 'room_m' => Out::number('room before the line', nullable: true),
            'openings' => $stretch, 'parked' => $stretch, 'car_length_m' => Out::number('of the vehicle'), 'car_width_m' => Out::number('of the vehicle'),
            'path_before_m' => Out::number('a path across our way, metres to the line', nullable: true),
            'cycle_box_m' => Out::number('depth of the box for cycles beyond the line; 0 where there is none'),
            'bend' => Out::maybe(Out::object([
                'radius_m' => Out::number('of our path'), 'from_m' => $metres('beginning'), 'to_m' => $metres('end'),
                'offset_m' => Out::number('from our path to what stands along its inside', nullable: true),
                'seen_m' => Out::number('the least seen of the road in it', nullable: true),
            ]), 'of the road on the way'),
            'crest' => Out::maybe(Out::object([
                'from_m' => $metres('beginning'), 'to_m' => $metres('end'), 'gradient_change' => Out::number('between the slopes before and after it'),
                'seen_m' => Out::number('the least seen of the road over it'),
            ]), 'of the road on the way'),
            'dip' => Out::maybe(Out::object([
                'from_m' => $metres('beginning'), 'to_m' => $metres('end'), 'depth_m' => Out::number('at its middle'),
                'seen_m' => Out::number('the least seen of the road before it; null where it hides nothing', nullable: true),
                'least_from_m' => Out::number('from here, metres to the line; nearer, more of it is seen, and then all', nullable: true),
            ]), 'of the road on the way'),
            'lateral_usual_m' => Out::number('middle of our lane, from the nearside kerb'), 'lateral_target_m' => Out::number('place for the turn'),
        ]);
    }
}
