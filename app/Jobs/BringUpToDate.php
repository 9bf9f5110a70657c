<?php

namespace App\Jobs;

use App\Marks\LearnerSkill;
use App\Marks\Outlook;
use App\Models\Learner;
use App\Models\School;
use App\School\CurrentSchool;
use Illuminate\Bus\Batchable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** Ages some learners' records to today, or takes in what was marked since: a part of a batch that shows how far it is. */
final class BringUpToDate implements ShouldQueue
{
    use Batchable, Dispatchable, InteractsWithQueue;

    public int $tries = 2;

    public int $timeout = 300;

    /** @param  list<string>  $learners */
    public function __construct(private readonly string $school, private readonly array $learners)
    {
    }

    public function handle(CurrentSchool $current, LearnerSkill $skill, Outlook $outlook): void
    {
        if ($this->batch()?->cancelled() === true) {
            return;
        }
        $current->within(School::query()->findOrFail($this->school), function () use ($skill, $outlook): void {
            foreach (Learner::query()->whereIn('id', $this->learners)->get() as $learner) {
                $skill->of($learner, now()->toDateTimeImmutable());
                // With what was foretold of the latest lessons: a page of the school reads it.
                $skill->calibration($learner);
                $outlook->keep($learner, now()->toDateTimeImmutable());
            }
        });
    }
}
