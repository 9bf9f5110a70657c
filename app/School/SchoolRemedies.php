<?php

namespace App\School;

use App\Http\Resources\Show;
use App\Marks\WhatHelped;
use App\Models\Remedy;
use NobleTurn\Core\Skill\RemedyEffect;
use NobleTurn\Core\Trade\Step;

/** Every remedy and drill that was given in this school, by what it is against: how often, and whether it has helped. */
final readonly class SchoolRemedies
{
    public function __construct(private WhatHelped $helped)
    {
    }

    /** @return list<array<string, mixed>> those of which something is known first, what helps most before; then those given to most */
    public function told(): array
    {
        $given = Remedy::query()->toBase()->groupBy('step', 'fault', 'what')
            ->selectRaw('step, fault, what, COUNT(*) AS times, COUNT(DISTINCT learner_id) AS learners')->get();
        $against = [];
        foreach ($given as $one) {
            $against["{$one->step} {$one->fault}"] = [Step::from($one->step), $one->fault];
        }
        $effects = array_combine(array_keys($against), $this->helped->all(array_values($against)));
        $rows = [];
        foreach ($given as $one) {
            $effect = $effects["{$one->step} {$one->fault}"][$one->what];
            $rows[] = [
                'step' => $one->step, 'fault' => $one->fault, 'what' => $one->what, 'times' => (int) $one->times, 'given_to' => (int) $one->learners,
                'effect' => Show::remedyEffect($effect), 'order' => self::order($effect, (int) $one->learners),
            ];
        }
        usort($rows, static fn (array $one, array $other): int => $other['order'] <=> $one['order']);

        return array_map(static fn (array $row): array => array_diff_key($row, ['order' => 0]), $rows);
    }

    /** @return array{bool, float, int} */
    private static function order(RemedyEffect $effect, int $learners): array
    {
        return [$effect->change !== null, $effect->change ?? 0.0, $learners];
    }
}
