<?php

namespace App\Marks;

use App\Models\Mark;
use App\Models\Round;
use Illuminate\Support\Collection;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Record\Taught;
use NobleTurn\Core\Routine\RoutineCode;

/** From the append-only log to the marks that stand: rows that no later row corrects and that were not withdrawn. */
final class StandingMarks
{
    /**
     * @param  Collection<int, Mark>  $marks
     * @return Collection<int, Mark>
     */
    public static function of(Collection $marks): Collection
    {
        $corrected = $marks->pluck('corrects_id')->filter()->flip();

        return $marks->reject(fn (Mark $mark): bool => $mark->withdrawn || $corrected->has($mark->id))->values();
    }

    /** A round as the core reads it; its marks must be loaded. */
    public static function round(Round $round): MarkedRound
    {
        $standing = self::of($round->marks);
        $steps = [];
        foreach ($standing->where('kind', 'step') as $mark) {
            $steps[(string) $mark->step] = new StepMark(Outcome::from((string) $mark->outcome), $mark->out_of_order);
        }
        $taught = $standing->firstWhere('kind', 'taught')?->taught;

        return new MarkedRound(
            $round->lesson_id,
            $round->device_at->toDateTimeImmutable(),
            RoutineCode::from($round->routine),
            $steps,
            $taught === null ? null : Taught::from($taught),
            $standing->contains('kind', 'held-back-rightly'),
        );
    }
}
