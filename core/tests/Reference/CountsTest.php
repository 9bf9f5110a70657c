<?php

declare(strict_types=1);

use NobleTurn\Core\Skill\GapThreshold;
use NobleTurn\Core\Skill\Rate;
use NobleTurn\Core\Skill\RemedyEffect;

/*
 * Held against R (r-project.org, Debian's r-base-core), a general statistics library: `poisson.test` for the exact range of a rate, `glm` with a
 * binomial family for the logistic fit. bin/test installs it.
 */

/** @return list<float> the numbers a script prints */
function printedByR(string $script): array
{
    if (trim((string) shell_exec('command -v Rscript')) === '') {
        if (getenv('CI')) {
            throw new RuntimeException('R is missing: bin/test installs it.');
        }
        test()->markTestSkipped('R is not installed: bin/test core installs it.');
    }
    $file = (string) tempnam(sys_get_temp_dir(), 'counts');
    file_put_contents($file, $script);
    $said = (string) shell_exec('Rscript --vanilla '.escapeshellarg($file).' 2>/dev/null');
    unlink($file);

    return array_map(floatval(...), preg_split('/\s+/', trim($said)) ?: []);
}

function between(Random\Randomizer $chance, float $low, float $high): float
{
    return $low + ($high - $low) * $chance->getInt(0, 1_000_000) / 1_000_000;
}

it('gives a rate the exact range that R gives it', function (): void {
    $cases = [[0, 120], [1, 60], [3, 45.5], [14, 180], [40, 600], [250, 1800]];
    $script = implode("\n", array_map(
        static fn (array $case): string => "cat(poisson.test({$case[0]}, {$case[1]} / 60, conf.level = 0.8)\$conf.int, sep = ' '); cat('\\n')", $cases,
    ));
    $ranges = array_chunk(printedByR($script), 2);
    foreach ($cases as $i => [$number, $seconds]) {
        $rate = Rate::of($number, $seconds);
        expect(abs($rate->low - $ranges[$i][0]))->toBeLessThan(1e-5, "{$number} in {$seconds} s")
            ->and(abs($rate->high - $ranges[$i][1]))->toBeLessThan(1e-5, "{$number} in {$seconds} s")
            ->and($rate->estimate)->toEqualWithDelta(60 * $number / $seconds, 1e-9);
    }
});

it('lets two rates differ only where their ranges have nothing in common, and refuses what is none', function (): void {
    expect(Rate::of(6, 180)->isBelow(Rate::of(24, 180)))->toBeTrue()->and(Rate::of(6, 180)->isBelow(Rate::of(8, 180)))->toBeFalse()
        ->and(Rate::of(0, 60)->low)->toBe(0.0)->and(fn () => Rate::of(-1, 60))->toThrow(InvalidArgumentException::class)
        ->and(fn () => Rate::of(1, 0.0))->toThrow(InvalidArgumentException::class);
});

it('finds the threshold that R’s logistic fit finds, as surely as that fit is', function (): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(41));
    foreach ([[5.0, 0.6], [7.5, 1.0], [9.0, 0.8]] as [$threshold, $softness]) {
        $gaps = [];
        for ($i = 0; $i < 220; $i++) {
            $seconds = round(between($chance, 1.0, 14.0), 2);
            $gaps[] = [$seconds, between($chance, 0.0, 1.0) < 1 / (1 + exp(-($seconds - $threshold) / $softness))];
        }
        $list = static fn (array $of): string => 'c('.implode(', ', $of).')';
        [$fitted, $error] = printedByR(
            's <- '.$list(array_column($gaps, 0))."\nt <- ".$list(array_map(intval(...), array_column($gaps, 1)))."\n"
            ."f <- glm(t ~ s, family = binomial)\nb <- coef(f); v <- vcov(f); m <- -b[1] / b[2]\n"
            // The error of a ratio, by the delta method.
            ."g <- c(-1 / b[2], b[1] / b[2]^2)\ncat(m, sqrt(t(g) %*% v %*% g))\n",
        );
        $found = GapThreshold::of($gaps, 6.5);
        expect(abs($found->estimate - $fitted))->toBeLessThan(0.1)
            ->and(($found->high - $found->low) / (2 * 1.2816 * $error))->toBeGreaterThan(0.8)->toBeLessThan(1.25)
            ->and($found->evidence)->toBe(220);
    }
});

it('holds the threshold in its range four times out of five, with the few gaps of a lesson', function (): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(7));
    $held = $asked = 0;
    for ($learner = 0; $learner < 300; $learner++) {
        // Learners as the beginning supposes them: around what is expected, some timid, some bold.
        $normal = static fn (): float => sqrt(-2 * log(between($chance, 1e-9, 1.0))) * cos(2 * M_PI * between($chance, 0.0, 1.0));
        $threshold = max(1.0, 6.5 + 3.0 * $normal());
        $softness = 0.7 * exp(0.7 * $normal());
        $gaps = [];
        for ($i = 0; $i < 12; $i++) {
            $seconds = between($chance, 2.0, 14.0);
            $gaps[] = [$seconds, between($chance, 0.0, 1.0) < 1 / (1 + exp(-($seconds - $threshold) / $softness))];
        }
        $found = GapThreshold::of($gaps, 6.5);
        if ($found !== null) {
            $asked++;
            $held += $found->low <= $threshold && $threshold <= $found->high ? 1 : 0;
        }
    }
    expect($asked)->toBeGreaterThan(250)->and($held / $asked)->toBeGreaterThan(0.75)->toBeLessThan(0.88);
});

it('says nothing of a threshold from next to nothing, and moves with every gap', function (): void {
    expect(GapThreshold::of([[4.0, false], [5.0, false], [8.0, true]], 6.5))->toBeNull()
        ->and(GapThreshold::of([[4.0, false], [5.0, false], [5.5, false], [3.0, false]], 6.5))->toBeNull()
        ->and(GapThreshold::of([[7.0, true], [8.0, true], [6.5, true], [9.0, true]], 6.5))->toBeNull();
    $gaps = [[4.0, false], [5.5, false], [6.2, false], [8.0, true]];
    $found = GapThreshold::of($gaps, 6.5);
    expect($found->low)->toBeLessThan($found->estimate)->and($found->high)->toBeGreaterThan($found->estimate);
    // A longer gap let go says: more timid; a short one taken: bolder.
    expect(GapThreshold::of([...$gaps, [8.5, false]], 6.5)->estimate)->toBeGreaterThan($found->estimate)
        ->and(GapThreshold::of([...$gaps, [5.0, true]], 6.5)->estimate)->toBeLessThan($found->estimate);
});

it('gives what a remedy changed the range of R’s t-test', function (): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(3));
    foreach ([5, 6, 9, 17, 30, 31, 60, 150] as $learners) {
        $changes = array_map(static fn (): float => round(between($chance, -0.3, 0.6), 3), range(1, $learners));
        [$low, $high] = printedByR('cat(t.test(c('.implode(', ', $changes).'), conf.level = 0.8)$conf.int)');
        $effect = RemedyEffect::of($changes);
        expect(abs($effect->low - $low))->toBeLessThan(2e-4, "{$learners}")->and(abs($effect->high - $high))->toBeLessThan(2e-4, "{$learners}");
    }
    expect(RemedyEffect::of([0.1, 0.2, 0.3, 0.4])->change)->toBeNull();
});

it('takes off what the other steps gained in the same time, and asks for marks before and after', function (): void {
    $share = static fn (int $clean, int $of): array => array_map(static fn (int $i): bool => $i <= $clean, range(1, $of));
    expect(RemedyEffect::change($share(2, 10), $share(7, 10), $share(5, 20), $share(9, 20)))->toEqualWithDelta(0.3, 1e-9)
        ->and(RemedyEffect::change($share(2, 10), $share(7, 10), [], []))->toEqualWithDelta(0.5, 1e-9)
        ->and(RemedyEffect::change($share(1, 2), $share(7, 10), [], []))->toBeNull()
        ->and(RemedyEffect::change($share(1, 5), $share(2, 2), [], []))->toBeNull();
    expect(RemedyEffect::of(array_fill(0, 6, 0.2))->message())->toStartWith('Helped: clean +20 in 100 more')
        ->and(RemedyEffect::of(array_fill(0, 6, -0.2))->message())->toStartWith('Did not help: clean -20 in 100')
        ->and(RemedyEffect::of([-0.4, 0.5, -0.3, 0.4, 0.1])->message())->toStartWith('Not clear')
        ->and(RemedyEffect::of([0.5])->message())->toContain('not known yet: 1 learner,');
});
