<?php

declare(strict_types=1);

use NobleTurn\Core\Docs\RuleBook;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\Practices;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\MirroredBritain;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** @return iterable<string, Card> every card of every pack, with and without a clutch, for every level */
function everyCard(): iterable
{
    foreach ([...RulePacks::all(), new MirroredBritain] as $pack) {
        foreach ([true, false] as $clutch) {
            foreach (Catalogue::codes($pack, $clutch) as $code) {
                foreach ([null, LearnerLevel::Beginner] as $level) {
                    yield "{$pack->code()} {$code->value} ".($clutch ? 'manual' : 'automatic') => Card::of(
                        $code, $pack, new Practice([], $pack), $clutch, $level,
                    );
                }
            }
        }
    }
}

it('has in some pack every routine there is a code for, and at least forty in each', function (): void {
    $known = [];
    foreach (RulePacks::all() as $pack) {
        $codes = Catalogue::codes($pack);
        expect(count($codes))->toBeGreaterThanOrEqual(40);
        $known = [...$known, ...array_map(static fn (RoutineCode $code): string => $code->value, $codes)];
    }
    expect(array_values(array_unique($known)))->toEqualCanonicalizing(array_map(static fn (RoutineCode $code): string => $code->value, RoutineCode::cases()));
});

it('says nothing twice in one breath: what to do in which gear is said by the gear alone', function (): void {
    $twice = [];
    foreach (everyCard() as $which => $card) {
        foreach ($card->steps as $step) {
            $parts = array_map(static fn (string $part): string => strtolower(trim($part)), preg_split('/[.;:,]/', $step->do, -1, PREG_SPLIT_NO_EMPTY) ?: []);
            $pairs = array_map(static fn (int $i): string => "{$parts[$i]}, {$parts[$i + 1]}", array_keys(array_slice($parts, 1)));
            foreach (array_diff_key($pairs, array_unique($pairs)) as $pair) {
                $twice[] = "{$which}, {$step->step->value}: {$pair}";
            }
        }
    }
    expect($twice)->toBe([]);
});

it('explains every step of every card with a whole sentence of its own and nothing left to fill in', function (): void {
    foreach (everyCard() as $which => $card) {
        $said = [];
        foreach ($card->steps as $step) {
            foreach (['do', 'why', 'usualMistake', 'likelyCause', 'remedy', 'drill', 'watch'] as $field) {
                $text = $step->{$field};
                expect($text)->toMatch('/^[A-Z“0-9].{8,}[.”:?]$/u', "{$which}, {$step->step->value}, {$field}")->not->toMatch('/[{}]|NaN|  /');
                if ($field !== 'watch') {
                    $said[] = $text;
                }
            }
        }
        expect(count(array_unique($said)))->toBe(count($said), "{$which} says something twice");
        foreach ([$card->title, $card->where, $card->direction, $card->afterwards, $card->sectionTitle, ...array_merge([], ...array_values($card->says)),
            ...array_merge([], ...array_map(static fn ($variant): array => [$variant->name, $variant->changes], $card->variants))] as $text) {
            expect($text)->not->toBe('')->not->toMatch('/[{}]|NaN|  /', $which);
        }
        if (str_ends_with($which, 'automatic')) {
            foreach ($card->steps as $step) {
                expect($step->do)->not->toMatch('/\bclutch\b/i', "{$which}: a car without a clutch");
            }
        }
    }
});

it('looks for the cause of a fault in an earlier step of the same routine, and for the first step’s before it', function (): void {
    foreach (everyCard() as $which => $card) {
        $order = array_map(static fn ($step): Step => $step->step, $card->steps);
        expect($order)->toBe(array_values(array_filter(Step::cases(), static fn (Step $step): bool => in_array($step, $order, true))), $which);
        foreach ($card->steps as $i => $step) {
            $cause = $step->causeIn === null ? -1 : array_search($step->causeIn, $order, true);
            expect($cause)->toBeInt("{$which}, {$step->step->value}")->toBeLessThan($i)->toBeGreaterThanOrEqual($i === 0 ? -1 : 0);
        }
    }
});

it('plans every routine that has an approach under every pack, and shows each variant that claims to move it', function (): void {
    foreach (RulePacks::all() as $pack) {
        foreach (Catalogue::codes($pack) as $code) {
            $card = Card::of($code, $pack, new Practice([], $pack));
            if (! $code->hasApproach()) {
                expect(Ask::refusal('approach', ['pack' => $pack->code(), 'routine' => $code->value]))->toHaveKey('routine');
                expect(
                    array_filter($card->variants, static fn ($variant): bool => $variant->inputs !== []),
                )->toBe([], "{$code->value} has inputs and no strip");

                continue;
            }
            $asked = ['pack' => $pack->code(), 'routine' => $code->value];
            $plain = Ask::tool('approach', $asked);
            expect($plain['fits'])->toBeTrue("{$pack->code()} {$code->value}")
                // The strip shows the steps the card explains.
                ->and(array_diff(array_column($plain['steps'], 'step'), array_map(static fn ($step): string => $step->step->value, $card->steps)))->toBe([]);
            foreach ($card->variants as $variant) {
                if ($variant->inputs !== []) {
                    $other = Ask::tool('approach', $asked + $variant->inputs);
                    expect(json_encode([$other['steps'], $other['profile'], $other['place']]))->not->toBe(
                        json_encode([$plain['steps'], $plain['profile'], $plain['place']]), "{$code->value}: {$variant->name}",
                    );
                }
            }
        }
    }
});

it('keeps the order of the steps in every routine, pack and practice', function (): void {
    for ($seed = 1; $seed <= 500; $seed++) {
        $draw = new Approaches($seed);
        $pack = RulePacks::byCode($draw->one(['gb', 'ie', 'na']));
        $code = $draw->one(array_values(array_filter(Catalogue::codes($pack), static fn (RoutineCode $code): bool => $code->hasApproach())));
        $input = [
            'routine' => $code->value, 'pack' => $pack->code(), 'exit' => $draw->one(['left', 'ahead', 'right', 'back']),
            'light' => $draw->one(['green', 'green-long', 'changing', 'red']),
        ] + $draw->draw();
        unset($input['control']);
        $input['practice'] += [
            'steps' => $draw->one(['five', 'six', 'three']), 'look' => $draw->one(['alternate', 'right-left-right']),
            'near_place' => $draw->one(['by-width', 'middle', 'to-kerb']),
        ];
        $plan = Ask::tool('approach', $input);
        $before = INF;
        foreach ($plan['steps'] as $step) {
            expect($step['best_s'])->toBeLessThanOrEqual($before + 0.011, "seed {$seed} ".json_encode($input));
            $before = $step['best_s'];
        }
        expect($plan['fits'] || $plan['conflicts'] !== [])->toBeTrue("seed {$seed}");
        if ($input['practice']['steps'] === 'six' && $plan['axis'] === 'distance' && $plan['gear_changes'] !== []) {
            expect(array_column($plan['steps'], 'step'))->toContain('gear');
        }
    }
});

it('gives each answer of a practice something to be seen: points that move, or a sentence on a card', function (): void {
    $strip = function (string $question, string $value): string {
        $seen = '';
        foreach (['emerge-left', 'emerge-right', 'turn-left'] as $routine) {
            foreach (['beginner', 'independent'] as $level) {
                foreach ([[18, 6], [40, 8]] as [$speed, $width]) {
                    $plan = Ask::tool(
                        'approach',
                        [
                            'routine' => $routine, 'limit_mph' => 40, 'speed_mph' => $speed, 'road_width_m' => $width, 'learner_level' => $level,
                            'practice' => [$question => $value],
                        ],
                    );
                    $seen .= json_encode([$plan['steps'], $plan['groups'], $plan['place'], $plan['gear_changes']]);
                }
            }
        }

        return $seen;
    };
    foreach (Practices::all() as $question) {
        expect(count($question->options))->toBeGreaterThanOrEqual(2);
        $shown = [];
        foreach ($question->options as $option) {
            expect($option->reason)->not->toBe('');
            $shown[] = $option->says === '' ? $strip($question->key, $option->value) : $option->says;
        }
        expect(count(array_unique($shown)))->toBe(count($shown), "the answers to {$question->key} look the same")->and($shown)->not->toContain('');
    }
});

it('plans in North America as in Britain with the sides changed, where the packs agree', function (): void {
    // Beyond side, units and words the packs differ in figures of their own: the number rule, people, gaps, lights.
    $shared = [
        'turn-left', 'turn-right', 'emerge-left', 'emerge-right', 'cross', 'hump', 'pass-parked', 'meet', 'people', 'queue-stop', 'lights-left',
        'lights-right',
    ];
    for ($seed = 1; $seed <= 120; $seed++) {
        $draw = new Approaches($seed);
        $code = RoutineCode::from($draw->one($shared));
        $input = [
            'limit_mph' => $draw->one([20, 30, 40]), 'gradient' => $draw->number(-0.06, 0.06), 'road_width_m' => $draw->number(6, 12),
            'view' => $draw->one(['open', 'closed']), 'practice' => ['signal' => 'braking-lead'],
        ];
        $britain = Ask::tool('approach', ['pack' => 'gb', 'routine' => $code->value] + $input);
        $america = Ask::tool('approach', ['pack' => 'na', 'routine' => $code->mirrored()->value] + $input);
        foreach (['earliest_m', 'best_m', 'latest_m', 'end_m', 'best_s'] as $field) {
            expect(array_column($america['steps'], $field))->toBe(array_column($britain['steps'], $field), "seed {$seed} {$code->value}");
        }
        expect($america['profile'])->toBe($britain['profile'])->and($america['place']['keeps'])->toBe('right');
    }
});

it('never lets a second routine begin before the first is done, and finds more room with more distance', function (): void {
    $rank = ['both-in-one' => 0, 'plan-second-first' => 1, 'one-after-the-other' => 2];
    for ($seed = 1; $seed <= 60; $seed++) {
        $draw = new Approaches($seed);
        $input = ['routine' => $draw->one(['turn-left', 'turn-right', 'emerge-left', 'lights-right', 'roundabout']), 'limit_mph' => $draw->one([20, 30, 40])];
        $then = ['routine' => $draw->one(['turn-left', 'turn-right', 'lights-ahead', 'lights-left', 'emerge-right', 'hump', 'mini-roundabout'])];
        $before = null;
        foreach ([8, 20, 45, 90, 160, 300] as $distance) {
            $chained = Ask::tool('approach', $input + ['then' => $then + ['distance_m' => $distance]])['then'];
            foreach ($chained['plan']['steps'] ?? [] as $step) {
                expect($step['best_m'])->toBeLessThanOrEqual($chained['earliest_m'] + 0.02, "seed {$seed}, {$distance} m, {$step['step']}");
            }
            if ($before !== null) {
                expect($rank[$chained['verdict']])->toBeGreaterThanOrEqual($rank[$before['verdict']], "seed {$seed}, {$distance} m")
                    ->and($chained['reached_mps'])->toBeGreaterThanOrEqual($before['reached_mps'] - 1e-3);
            }
            $before = $chained;
        }
        expect($before['verdict'])->toBe('one-after-the-other');
    }
});

it('has its rules written out as they are', function (): void {
    foreach (RuleBook::pages() as $file => $text) {
        expect(file_get_contents(__DIR__."/../../../docs/rules/{$file}"))->toBe($text, "docs/rules/{$file} is out of date: php artisan rules");
        expect($text)->not->toMatch('/[{]\w+[}]|NaN|\(no clash\)/');
    }
});
