<?php

declare(strict_types=1);

use NobleTurn\Core\Next\Normals;

/** How much of the normal distribution is below: its density summed in small steps (Simpson), which knows nothing of any approximation. */
function below(float $at): float
{
    $steps = 2 * (int) ceil(200 * (abs($at) + 1));
    $wide = $at / $steps;
    $sum = 0.0;
    for ($i = 0; $i <= $steps; $i++) {
        $sum += ($i === 0 || $i === $steps ? 1.0 : ($i % 2 === 1 ? 4.0 : 2.0)) * exp(-0.5 * ($i * $wide) ** 2);
    }

    return 0.5 + $sum * $wide / 3.0 / sqrt(2.0 * M_PI);
}

it('has the quantiles of the normal distribution, to nine places', function (): void {
    foreach ([1e-6, 0.0003, 0.02, 0.02425, 0.0243, 0.1, 0.25, 0.4999, 0.5, 0.7, 0.9, 0.975, 0.9758, 0.99, 0.99997] as $share) {
        expect(below(Normals::quantile($share)))->toEqualWithDelta($share, 1e-9);
    }
    // Published: every table of the normal distribution.
    expect(Normals::quantile(0.975))->toEqualWithDelta(1.959963985, 1e-8)->and(Normals::quantile(0.9))->toEqualWithDelta(1.281551566, 1e-8);
});

it('meets every slice of each variable once, whatever order the samples are asked in, and is the same for the same seed', function (): void {
    $normals = new Normals(11, 50);
    $drawn = [];
    foreach ([...range(1, 49, 2), ...range(0, 48, 2)] as $sample) {
        $draw = $normals->of($sample);
        for ($variable = 0; $variable < 6; $variable++) {
            $drawn[$variable][$sample] = $draw();
        }
    }
    foreach ($drawn as $one) {
        $slices = array_map(static fn (float $at): int => (int) floor(50 * below($at)), $one);
        sort($slices);
        expect($slices)->toBe(range(0, 49));
    }
    $again = (new Normals(11, 50))->of(7);
    expect([$again(), $again()])->toBe([$drawn[0][7], $drawn[1][7]])
        ->and(((new Normals(12, 50))->of(7))())->not->toBe($drawn[0][7]);
});

it('has variables that hang on nothing of each other', function (): void {
    $normals = new Normals(3, 400);
    $drawn = array_map(static function (int $sample) use ($normals): array {
        $draw = $normals->of($sample);

        return array_map(static fn (): float => $draw(), range(0, 9));
    }, range(0, 399));
    for ($one = 0; $one < 10; $one++) {
        for ($other = 0; $other <= $one; $other++) {
            $together = array_sum(array_map(static fn (array $row): float => $row[$one] * $row[$other], $drawn)) / 400;
            // Four standard errors of 400 that are independent: 0.2.
            expect($together)->toEqualWithDelta($one === $other ? 1.0 : 0.0, 0.2);
        }
    }
});

it('differs far less from seed to seed than draws each by itself would', function (): void {
    $means = array_map(static function (int $seed): float {
        $normals = new Normals($seed, 40);

        return array_sum(array_map(static function (int $sample) use ($normals): float {
            $draw = $normals->of($sample);

            return exp(0.5 * $draw()) + $draw();
        }, range(0, 39))) / 40;
    }, range(1, 60));
    $mean = array_sum($means) / 60;
    $deviation = sqrt(array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $means)) / 59);
    // By itself each of 40 draws would leave sqrt((0.36 + 1) / 40), 0.18.
    expect($deviation)->toBeLessThan(0.05)->and($mean)->toEqualWithDelta(exp(0.125), 0.02);
});
