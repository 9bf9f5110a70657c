<?php

namespace App\Http\Resources;

use App\Models\Assessment;
use NobleTurn\Core\Compute\Toolbox;

/** Tests and mock tests as they are answered. */
final class ShowAssessments
{
    /** @return array<string, mixed> with what its scheme makes of the faults */
    public static function one(Assessment $one): array
    {
        $marked = Toolbox::run('mark-test', ['pack' => 'gb', 'scheme' => $one->scheme, 'faults' => self::marked($one->faults)]);

        return [
            ...$one->only(['id', 'learner_id', 'kind', 'scheme', 'result', 'note', 'centre_id', 'lesson_id']),
            'taken_at' => $one->taken_at->toIso8601ZuluString(),
            'centre' => $one->centre?->name,
            'faults' => array_map(static fn (array $fault, array $how): array => [
                'step' => $fault['step'], 'routine' => $fault['routine'] ?? null, 'fault' => $fault['fault'] ?? null, 'effect' => $fault['effect'] ?? null,
                'severity' => $how['severity'], 'at' => $fault['at'] ?? null, 'where' => $fault['where'] ?? null,
            ], $one->faults, $marked['faults']),
            'by_scheme' => ['result' => $marked['result'], 'message' => $marked['decided_by']['message'], 'counts' => (object) $marked['counts']],
        ];
    }

    /**
     * As the tool `mark-test` takes them.
     *
     * @param  list<array<string, mixed>>  $faults
     * @return list<array<string, mixed>>
     */
    public static function marked(array $faults): array
    {
        return array_map(
            static fn (array $one): array => array_filter(array_intersect_key($one, array_flip(['step', 'routine', 'fault', 'effect', 'severity']))), $faults,
        );
    }
}
