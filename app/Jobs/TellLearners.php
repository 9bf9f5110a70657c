<?php

namespace App\Jobs;

use App\School\CurrentSchool;
use App\Telling\Outbox;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** Puts into the outbox what learners are to be told by now. What it does not get to is done a minute later. */
final class TellLearners implements ShouldBeUnique, ShouldQueue
{
    use Dispatchable, InteractsWithQueue, Queueable;

    public int $tries = 1;

    public int $timeout = 120;

    /** One that died holds up the next no longer than this, s. */
    public int $uniqueFor = 300;

    public function handle(CurrentSchool $current): void
    {
        Outbox::fillAll($current);
    }
}
