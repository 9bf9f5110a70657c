<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Tool\RoutineFacts;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Scenes;
use NobleTurn\Core\Trade\RoutineCode;

/** @return list<string> every sentence of a card that somebody is shown */
function sentencesOf(Card $card): array
{
    $found = [];
    $walk = function (mixed $value) use (&$walk, &$found): void {
        if (is_string($value)) {
            $found[] = $value;
        } elseif (is_array($value) || (is_object($value) && ! $value instanceof UnitEnum)) {
            array_map($walk, array_values(is_array($value) ? $value : get_object_vars($value)));
        }
    };
    $said = array_map(static fn (array $choice): array => [$choice['text'], $choice['words'], $choice['reason'], $choice['says']], $card->choices);
    $walk([$card->steps, $card->says, $card->variants, $said, $card->afterwards, $card->direction]);

    return $found;
}

Scenes::show('in an automatic, or with hand controls, no sentence speaks of clutch, gear or biting point', function (): void {
    $words = '/clutch|\bgears?\b|biting|\bneutral\b|\bstall/i';
    foreach (RulePacks::all() as $pack) {
        foreach ([[], ['gears' => 'sequential', 'gear_at_line' => 'first-on-the-move', 'clutch' => 'last-lengths', 'waiting' => 'in-gear',
            'setting_off' => 'biting-first']] as $answers) {
            foreach (Catalogue::codes($pack, hasClutch: false) as $code) {
                foreach (sentencesOf(Card::of($code, $pack, new Practice($answers, $pack), hasClutch: false)) as $sentence) {
                    expect(preg_match($words, $sentence))->toBe(0, "{$pack->code()} {$code->value}: {$sentence}")->and($sentence)->not->toContain('|');
                }
            }
        }
        // With a clutch they are there, and nothing of the writing shows.
        $manual = sentencesOf(Card::of(Catalogue::codes($pack)[0], $pack, new Practice([], $pack)));
        expect(preg_grep('/[|\[\]]/', $manual))->toBe([])->and(preg_grep($words, $manual))->not->toBe([]);
    }
});

Scenes::show('up at 4000 it lands at 2667 where about 2500 is said: that fits, a feel rule is good to about a tenth', function (): void {
    $rule = static fn (float $rpm, float $from, float $to): ?array => Ask::tool('engine', [
        'tyre' => '195/65R15', 'final_drive' => 4.06, 'ratios' => [$from, $to], 'rpm' => $rpm, 'from_gear' => 1, 'to_gear' => 2,
    ])['rule_of_thumb'];
    expect($rule(4000, 1.95, 1.3)['agrees'])->toBeTrue()->and($rule(4000, 1.95, 1.45)['agrees'])->toBeFalse()
        ->and($rule(4000, 1.95, 1.08)['agrees'])->toBeFalse();
});

Scenes::show('on ice down a hill of 12 % nothing stops the car for an amber light: there is no point of no return, and that is said', function (): void {
    $amber = static fn (array $more): array => Ask::tool('amber', ['speed_mph' => 30, 'distance_m' => 60, ...$more]);
    $ice = $amber(['surface' => 'ice', 'gradient' => -0.12]);
    expect($ice['point_of_no_return_m'])->toBeNull()->and($ice['can_stop'])->toBeFalse()->and($ice['message'])->toContain('Nothing stops the car')
        ->and($amber([])['point_of_no_return_m'])->toBeGreaterThan(20.0)->toBeLessThan(60.0);
});

Scenes::show('a gap that easing off would not open before one is in the car ahead has no time to open: brake', function (): void {
    $follow = static fn (array $more): array => Ask::tool('following', ['speed_mph' => 60, 'gap_s' => 1.0, ...$more]);
    $slow = $follow(['leader_speed_mph' => 20]);
    expect($slow['least_gap_m'])->toBeLessThan(0.0)->and($slow['seconds_to_open_gap'])->toBeNull()->and(array_column($slow['warnings'],
        'code'))->toContain('brake')
        ->and($follow([])['seconds_to_open_gap'])->toBeGreaterThan(0.0);
});

Scenes::show('the longest articulated lorry that is allowed turns between its circles of 12.5 and 5.3 m; steering out of it its tail needs a '
    .'little more', function (): void {
        // EU directive 96/53/EC: the whole combination within 12.50 m and 5.30 m.
        $turn = static fn (bool $out): array => Ask::tool('swept-path', [
            'vehicle' => 'articulated-lorry', 'path' => ['radius_m' => 10.8, 'angle_deg' => 360, 'straight_out' => $out],
        ]);
        expect($turn(false)['outer_radius_max_m'])->toBeLessThanOrEqual(12.5)->and($turn(false)['inner_radius_min_m'])->toBeGreaterThanOrEqual(5.3)
            ->and($turn(true)['outer_radius_max_m'])->toBeGreaterThan($turn(false)['outer_radius_max_m']);
    });

Scenes::show('how much wheel a right-angle corner takes is held against what is taught there: half to three quarters where traffic keeps left; where it keeps '
    .'right nearly a whole turn at the near corner and about three quarters at the far one', function (): void {
        $corner = static fn (string $pack, string $corner, float $kerb): array => Ask::tool('steering', [
            'pack' => $pack, 'corner' => $corner, 'wheelbase_m' => 2.6, 'steering_ratio' => 15.5, 'kerb_radius_m' => $kerb,
        ]);
        expect($corner('na', 'near', 5)['turns'])->toBeGreaterThan(0.9)->toBeLessThan(1.0)->and($corner('na', 'near', 5)['agrees_with_taught'])->toBeTrue()
            ->and($corner('na', 'far', 7)['turns'])->toBeGreaterThan(0.7)->toBeLessThan(0.8)->and($corner('na', 'far', 7)['agrees_with_taught'])->toBeTrue()
            ->and($corner('na', 'near', 9)['agrees_with_taught'])->toBeFalse()->and($corner('gb', 'near', 9)['agrees_with_taught'])->toBeTrue()
            ->and($corner('gb', 'near', 5)['agrees_with_taught'])->toBeFalse();
        // The page that a card leads to begins where that is taught.
        foreach (['gb', 'ie', 'na'] as $code) {
            $pack = RulePacks::byCode($code);
            foreach (['turn-left', 'turn-right'] as $routine) {
                $pages = RoutineFacts::bench(RoutineCode::from($routine), $pack);
                $with = array_column($pages, 'with', 'page')['steering'];
                expect($corner($code, (string) $with['corner'], (float) $with['kerb'])['agrees_with_taught'])->toBeTrue("{$code} {$routine}");
            }
        }
    });

Scenes::show('how fast the revs fall belongs to the car: the same change wants nothing in one, a little held in another, and a wait '
    .'where they hang', function (): void {
        $foot = static fn (float $falls, array $more = []): array => array_column(
            Ask::tool('engine', $more + ['pack' => 'gb', 'speed_mph' => 20, 'gear' => 2, 'rev_fall_s' => $falls])['changes'], null, 'to_gear',
        )[3];

        expect($foot(1.5)['foot'])->toBe('nothing')->and($foot(0.8)['foot'])->toBe('hold')
            ->and($foot(5.0)['wait_s'])->toBeGreaterThan(0.5)->and($foot(5.0)['message'])->toContain('they hang')
            // A cold gearbox takes longer, and they fall farther.
            ->and($foot(1.5, ['vehicle' => ['shift_time_s' => 3.0]])['falls_to_rpm'])->toBeLessThan($foot(1.5)['falls_to_rpm']);
    });
