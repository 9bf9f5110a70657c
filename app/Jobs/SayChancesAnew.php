<?php

namespace App\Jobs;

use App\Marks\ChanceBefore;
use App\Marks\LearnerSkill;
use App\Models\Assessment;
use App\Models\Learner;
use App\Models\School;
use App\School\CurrentSchool;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Carbon;
use NobleTurn\Core\Assessment\Scheme;

/** Marks that were pressed before a test and waited on a device have arrived after it was kept: what was expected of it is said with them, too. */
final class SayChancesAnew implements ShouldQueue
{
    use Dispatchable, InteractsWithQueue;

    public int $tries = 2;

    /** @param  string  $since  UTC: tests after it */
    public function __construct(private readonly string $school, private readonly string $learner, private readonly string $since)
    {
    }

    /** Where the learner whose marks came has taken a test since the first of them was pressed. */
    public static function afterMarks(string $school, string $learner, Carbon $pressedAt): void
    {
        if (self::tests($learner, $pressedAt)->exists()) {
            self::dispatch($school, $learner, $pressedAt->format('Y-m-d H:i:s.v'));
        }
    }

    public function handle(CurrentSchool $current, LearnerSkill $skill): void
    {
        $current->within(School::query()->findOrFail($this->school), function () use ($skill): void {
            $learner = Learner::withTrashed()->find($this->learner);
            if ($learner === null) {
                return;
            }
            $pack = $skill->pack($learner);
            foreach (self::tests($learner->id, Carbon::parse($this->since, 'UTC'))->get() as $test) {
                $test->update(['chance' => ChanceBefore::of($learner, $test->taken_at, Scheme::byCode($test->scheme), $pack)]);
            }
        });
    }

    /** @return Builder<Assessment> */
    private static function tests(string $learner, Carbon $since): Builder
    {
        return Assessment::query()->where('learner_id', $learner)->where('kind', 'test')->where('taken_at', '>', $since);
    }
}
