<?php

declare(strict_types=1);

use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Assessment\Severity;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\Step;

/* Whether an assessed drive passes: at every boundary of the three schemes (limits published, from memory), and of one's own. */

function assessed(string|array $scheme, array $faults): array
{
    return Toolbox::run('mark-test', ['scheme' => $scheme, 'faults' => $faults]);
}

/** So many faults of a severity, each of its own kind under its own heading. */
function apart(string $severity, int $many): array
{
    return array_map(static fn (int $i): array => [
        'step' => 'mirrors', 'severity' => $severity, 'heading' => "heading {$i}", 'aspect' => "aspect {$i}",
    ], $many === 0 ? [] : range(1, $many));
}

it('passes at each limit and fails one beyond it, by the rule that says so', function (string $scheme, string $severity, int $most, string $code): void {
    $at = assessed($scheme, apart($severity, $most));
    $beyond = assessed($scheme, apart($severity, $most + 1));
    expect($at['result'])->toBe('pass')->and($at['decided_by']['code'])->toBe('within-limits')->and($at['counts'][$severity])->toBe($most)
        ->and($beyond['result'])->toBe('fail')->and($beyond['decided_by'])->toMatchArray(['code' => $code, 'status' => 'from-memory'])
        ->and($beyond['counts'][$severity])->toBe($most + 1);
    if ($most > 0) {
        expect($beyond['decided_by']['message'])->toContain((string) ($most + 1))->toContain("at most {$most}");
    }
})->with([
    ['gb-car', 'driving', 15, 'too-many-driving'], ['gb-car', 'serious', 0, 'any-serious'], ['gb-car', 'dangerous', 0, 'any-dangerous'],
    ['ie-car', 'grade-2', 8, 'too-many-grade-2'], ['ie-car', 'grade-3', 0, 'any-grade-3'],
    ['na-ca-car', 'scored', 15, 'too-many-scored'], ['na-ca-car', 'critical', 0, 'any-critical'],
]);

it('counts under one heading and of one kind where the scheme does', function (): void {
    $same = static fn (int $many, ?string $aspect): array => array_map(static fn (int $i): array => array_filter([
        'step' => 'signal', 'severity' => 'grade-2', 'aspect' => $aspect ?? "kind {$i}",
    ]), range(1, $many));
    expect(assessed('ie-car', $same(3, 'late'))['result'])->toBe('pass')
        ->and(assessed('ie-car', $same(4, 'late'))['decided_by'])->toMatchArray(['code' => 'same-aspect',
            'message' => '4 faults of grade 2 of one kind (signal, late): at most 3 pass.'])
        ->and(assessed('ie-car', $same(5, null))['result'])->toBe('pass')
        ->and(assessed('ie-car', $same(6, null))['decided_by'])->toMatchArray(['code' => 'same-heading',
            'message' => '6 faults of grade 2 under signal: at most 5 pass.']);
    // Of a fault whose kind nobody said it is not known that it is the same one; any number of the first grade passes.
    $unsaid = array_fill(0, 5, ['step' => 'signal', 'severity' => 'grade-2']);
    expect(assessed('ie-car', $unsaid)['result'])->toBe('pass')->and(assessed('ie-car', apart('grade-1', 60))['result'])->toBe('pass');
    // The same kind under two headings is not the same.
    expect(assessed('ie-car', [...$same(3, 'late'), ...array_fill(0, 3,
        ['step' => 'mirrors', 'severity' => 'grade-2', 'aspect' => 'late'])])['result'])->toBe('pass');
});

it('weighs by what others had to do, else by the kind; what was given wins', function (): void {
    $of = static fn (string $scheme, array $fault): array => assessed($scheme, [['step' => 'look'] + $fault])['faults'][0];
    foreach (['nobody' => 'driving', 'potential' => 'driving', 'affected' => 'serious', 'intervened' => 'dangerous'] as $effect => $severity) {
        expect($of('gb-car', ['fault' => 'late', 'effect' => $effect]))->toBe(['severity' => $severity, 'from' => 'scheme', 'heading' => 'look',
            'aspect' => 'late'])
            ->and($of('gb-car', ['effect' => $effect, 'severity' => 'driving']))->toBe(['severity' => 'driving', 'from' => 'given', 'heading' => 'look',
                'aspect' => null]);
    }
    expect($of('gb-car', ['fault' => 'late'])['severity'])->toBe('driving')->and($of('gb-car', ['fault' => 'goes-unsafe'])['severity'])->toBe('serious')
        ->and($of('na-ca-car', ['fault' => 'goes-unsafe'])['severity'])->toBe('critical')
        ->and($of('ie-car', ['fault' => 'goes-unsafe'])['severity'])->toBe('grade-3')
        ->and($of('gb-car', ['fault' => 'goes-unsafe', 'effect' => 'potential'])['severity'])->toBe('driving');
});

it('never makes a fault lighter where more had to be done for it, and knows every kind', function (string $code): void {
    $scheme = Scheme::byCode($code);
    $rank = array_flip(array_map(static fn (Severity $one): string => $one->value, array_reverse($scheme->severities())));
    foreach (Step::cases() as $step) {
        foreach (Faults::codes() as $fault) {
            if (! Faults::isOf($fault, $step)) {
                continue;
            }
            $before = -1;
            foreach (['nobody', 'potential', 'affected', 'intervened'] as $effect) {
                $now = $rank[assessed($code, [['step' => $step->value, 'fault' => $fault, 'effect' => $effect]])['faults'][0]['severity']];
                expect($now)->toBeGreaterThanOrEqual($before);
                $before = $now;
            }
            expect(assessed($code, [['step' => $step->value, 'fault' => $fault]])['faults'][0]['severity'])->toBeIn(array_keys($rank));
        }
    }
    expect(array_map(static fn (Effect $one): string => $one->value, Effect::cases()))->toEqualCanonicalizing(['nobody', 'potential', 'affected',
        'intervened']);
})->with(Scheme::codes());

it('passes what was driven without a fault, and never passes again with one more', function (string $code): void {
    expect(assessed($code, []))->toMatchArray(['result' => 'pass', 'faults' => []])->and(assessed($code, [])['decided_by']['code'])->toBe('within-limits')
        ->and(array_sum(assessed($code, [])['counts']))->toBe(0);
    $severities = array_map(static fn (Severity $one): string => $one->value, Scheme::byCode($code)->severities());
    foreach (range(1, 20) as $seed) {
        $draw = new Approaches($seed);
        [$faults, $failed] = [[], false];
        for ($i = 0; $i < 25; $i++) {
            $faults[] = ['step' => $draw->one(['mirrors', 'signal', 'look']), 'severity' => $draw->one([$severities[count($severities) - 1], ...$severities]),
                'aspect' => $draw->one(['a', 'b'])];
            $answer = assessed($code, $faults);
            expect($failed && $answer['result'] === 'pass')->toBeFalse()->and(array_sum($answer['counts']))->toBe($i + 1)
                ->and(count($answer['faults']))->toBe($i + 1);
            $failed = $answer['result'] === 'fail';
        }
    }
})->with(Scheme::codes());

it('says the gravest rule where several are broken', function (): void {
    expect(assessed('gb-car', [...apart('driving', 20), ...apart('serious', 2), ...apart('dangerous', 1)])['decided_by']['code'])->toBe('any-dangerous')
        ->and(assessed('gb-car', [...apart('driving', 20), ...apart('serious', 2)])['decided_by'])->toMatchArray([
            'code' => 'any-serious', 'message' => '2 serious faults: one is enough to fail.',
        ]);
});

it('takes a copy with figures of one’s own, and says that they are given', function (): void {
    $own = ['like' => 'gb-car', 'limits' => ['driving' => 3, 'serious' => 1], 'severities' => [
        ['effect' => 'affected', 'severity' => 'driving'], ['step' => 'signal', 'fault' => 'left-on', 'severity' => 'serious'],
    ]];
    expect(assessed($own, apart('driving', 3))['result'])->toBe('pass')
        ->and(assessed($own, apart('driving', 4))['decided_by'])->toMatchArray(['code' => 'too-many-driving', 'status' => 'given'])
        ->and(assessed($own, apart('serious', 1))['result'])->toBe('pass')
        ->and(assessed($own, apart('serious', 2))['decided_by']['code'])->toBe('too-many-serious')
        ->and(assessed($own, apart('dangerous', 1))['decided_by'])->toMatchArray(['code' => 'any-dangerous', 'status' => 'from-memory'])
        ->and(array_column(assessed($own, [['step' => 'look', 'effect' => 'affected'], ['step' => 'signal', 'fault' => 'left-on']])['faults'],
            'severity'))->toBe(['driving', 'serious']);
});

it('refuses by name what it cannot weigh', function (array $input, string $field): void {
    expect(Ask::refusal('mark-test', $input))->toHaveKey($field);
})->with([
    [['scheme' => 'gb-car', 'faults' => [['step' => 'look']]], 'faults.0'],
    [['scheme' => 'moon-car', 'faults' => []], 'scheme'],
    [['scheme' => 'gb-car', 'faults' => [['step' => 'look', 'severity' => 'grade-2']]], 'faults.0.severity'],
    [['scheme' => 'gb-car', 'faults' => [['step' => 'look', 'fault' => 'wide']]], 'faults.0.fault'],
    [['scheme' => ['like' => 'gb-car', 'limits' => ['grade-2' => 3]], 'faults' => []], 'scheme.limits.grade-2'],
    [['scheme' => ['like' => 'gb-car', 'limits' => ['driving' => 2.5]], 'faults' => []], 'scheme.limits.driving'],
    [['scheme' => ['like' => 'gb-car', 'limits' => ['driving' => -1]], 'faults' => []], 'scheme.limits.driving'],
    [['scheme' => ['like' => 'gb-car', 'severities' => [['severity' => 'serious']]], 'faults' => []], 'scheme.severities.0'],
    [['scheme' => ['limits' => []], 'faults' => []], 'scheme.like'],
    [['faults' => []], 'scheme'],
    [['scheme' => 'gb-car'], 'faults'],
]);
