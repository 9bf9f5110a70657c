<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Routine\WhoWaits;

/** Who waits for whom as the arrays of an answer. */
final class WhoWaitsPresenter
{
    /**
     * @param  array<string, array<string, mixed>>  $more  what is said of each besides
     * @return array<string, mixed>
     */
    public static function schema(array $more = []): array
    {
        return Out::list(Out::object($more + [
            'who' => ['enum' => ['we', 'they']], 'message' => Out::text('for whom, or who'),
            'source' => Out::object(['status' => Out::text('of the rule'), 'document' => Out::text('where it stands', nullable: true)]),
        ]), 'who waits for whom');
    }

    /** @return array{who: string, message: string, source: array{status: string, document: ?string}} */
    public static function row(WhoWaits $one): array
    {
        return [
            'who' => $one->isUs ? 'we' : 'they', 'message' => $one->message,
            'source' => ['status' => $one->source->status->value, 'document' => $one->source->document],
        ];
    }

    /** @return list<array{who: string, message: string, source: array{status: string, document: ?string}}> */
    public static function rows(Approach $approach): array
    {
        return array_map(self::row(...), WhoWaits::at(
            $approach->routine, $approach->control, $approach->pack, $approach->wayOut, $approach->junction->roadMet,
        ));
    }
}
