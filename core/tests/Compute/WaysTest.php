<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Tests\Ask;

/* Ways a long vehicle drives often, as the swept-path tool knows them: the same as their straights and arcs said one by one. */

function drivenWay(array $path, string $pack = 'gb', array $more = []): array
{
    return Toolbox::run('swept-path', ['pack' => $pack, 'vehicle' => 'rigid-lorry', 'path' => $path] + $more);
}

/** Where the front axle's middle ends, and which way it heads there, degrees. */
function endOf(array $answer): array
{
    $path = $answer['traces']['path'];
    [$before, $last] = array_slice($path, -2);

    return ['x' => $last[0], 'y' => $last[1], 'heading' => atan2($last[1] - $before[1], $last[0] - $before[0]) * 180.0 / M_PI];
}

/** An angle from the other, -180 to 180 degrees. */
function turnedFrom(float $angle, float $other): float
{
    return fmod($angle - $other + 540.0, 360.0) - 180.0;
}

it('is its straights and arcs, said shortly', function (): void {
    $arc = static fn (float $radius, float $angle): array => ['radius_m' => $radius, 'angle_deg' => $angle];
    $pieces = static fn (array ...$middle): array => ['pieces' => [['length_m' => 12], ...$middle, ['length_m' => 25]]];
    $same = static function (array $way, array $pieces): void {
        [$short, $long] = [drivenWay($way), drivenWay($pieces)];
        expect(array_diff_key($short, ['assumptions' => 0]))->toBe(array_diff_key($long, ['assumptions' => 0]));
    };
    $same(['s_bend' => ['radius_m' => 20, 'angle_deg' => 30, 'between_m' => 4]], $pieces($arc(20, 30), ['length_m' => 4], $arc(20, -30)));
    $same(['s_bend' => ['radius_m' => 20]], $pieces($arc(20, 40), $arc(20, -40)));
    $same(['roundabout' => ['radius_m' => 16, 'exit' => 'right']], $pieces($arc(15, 50), $arc(16, -190), $arc(15, 50)));
});

it('leaves a roundabout in the direction of its exit, whichever side traffic keeps, and is the mirror of itself', function (
    string $exit, string $mirrored, float $heading,
): void {
    $britain = endOf(drivenWay(['roundabout' => ['radius_m' => 18, 'exit' => $exit]], 'gb'));
    $america = endOf(drivenWay(['roundabout' => ['radius_m' => 18, 'exit' => $mirrored]], 'na'));
    expect(abs(turnedFrom($britain['heading'], $heading)))->toBeLessThan(1.5)
        ->and(abs(turnedFrom($america['heading'], -$heading)))->toBeLessThan(1.5)
        ->and($america['x'])->toEqualWithDelta($britain['x'], 0.05)->and($america['y'])->toEqualWithDelta(-$britain['y'], 0.05);
})->with([['left', 'right', 90.0], ['ahead', 'ahead', 0.0], ['right', 'left', -90.0], ['back', 'back', 180.0]]);

it('says what it filled in, and what was given', function (): void {
    $of = static fn (array $answer): array => array_column($answer['assumptions'], 'status', 'name');
    $assumed = $of(drivenWay(['roundabout' => ['radius_m' => 18, 'exit' => 'left']]));
    $given = $of(drivenWay(['roundabout' => ['radius_m' => 18, 'exit' => 'left', 'deflection_deg' => 40, 'entry_radius_m' => 20]]));
    expect([$assumed['bends aside at entry and exit'], $assumed['radius of the bends in and out']])->toBe(['assumed', 'assumed'])
        ->and([$given['bends aside at entry and exit'], $given['radius of the bends in and out']])->toBe(['given', 'given'])
        ->and($of(drivenWay(['s_bend' => ['radius_m' => 18]])))->toHaveKey('angle of either bend')
        ->and($of(drivenWay(['pieces' => [['length_m' => 10]]])))->not->toHaveKey('angle of either bend');
});

it('has more off-tracking the tighter the way until its bends in and out decide, without a jump', function (): void {
    $off = array_map(
        static fn (int $radius): float => drivenWay(['roundabout' => ['radius_m' => $radius, 'exit' => 'right']])['off_tracking_m']['most'],
        range(14, 30),
    );
    for ($i = 1; $i < count($off); $i++) {
        expect($off[$i])->toBeLessThanOrEqual($off[$i - 1] + 0.01)->and($off[$i - 1] - $off[$i])->toBeLessThan(0.35);
    }
});

it('names the field of what is no such way', function (array $path, string $field): void {
    expect(array_keys(Ask::refusal('swept-path', ['pack' => 'gb', 'vehicle' => 'rigid-lorry', 'path' => $path])))->toContain($field);
})->with([
    [['roundabout' => ['radius_m' => 18]], 'path.roundabout.exit'],
    [['roundabout' => ['exit' => 'left']], 'path.roundabout.radius_m'],
    [['roundabout' => ['radius_m' => 18, 'exit' => 'over']], 'path.roundabout.exit'],
    [['s_bend' => ['radius_m' => 18], 'radius_m' => 12], 'path'],
    [[], 'path'],
]);
