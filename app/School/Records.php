<?php

namespace App\School;

use App\Jobs\BringUpToDate;
use App\Marks\Basis;
use App\Marks\Outlook;
use App\Models\BusyTime;
use App\Models\Lesson;
use App\Models\SkillAnswer;
use Illuminate\Bus\Batch;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\Cache;

/** Keeps the records of a whole school up to date in the background, one batch at a time. */
final readonly class Records
{
    /** Learners to a job: small enough that progress moves, large enough that the queue is no burden. */
    private const AT_ONCE = 10;

    private const AGAIN_AFTER_MINUTES = 10;

    public function __construct(private CurrentSchool $current, private Basis $basis, private Outlook $outlook)
    {
    }

    /** @return list<string> learners of whom what is kept is not of today, or of something that has changed since */
    public function stale(): array
    {
        $kept = SkillAnswer::query()->toBase()->get(['learner_id', 'stands_for', 'outlook_for'])->keyBy('learner_id');
        $now = now()->toDateTimeImmutable();
        $basis = $this->basis->of(null, $now);
        $outlooks = $this->outlook->basis(null, $now, $basis);

        return array_keys(array_filter(
            $basis,
            static fn (string $marks, string $id): bool => $kept->get($id)?->stands_for !== $marks || $kept->get($id)->outlook_for !== $outlooks[$id],
            ARRAY_FILTER_USE_BOTH,
        ));
    }

    /** Begins a batch where one is needed and none is going on. */
    public function bringUpToDate(): ?Batch
    {
        return Cache::lock('records '.$this->current->id(), 10)->get(function (): ?Batch {
            $going = $this->goingOn();
            // What failed a moment ago would fail again: it is said, and tried anew after a while.
            $stale = $going === null && $this->failed() === 0 ? $this->stale() : [];
            if ($going !== null || $stale === []) {
                return $going;
            }
            $batch = Bus::batch(
                array_map(fn (array $part): BringUpToDate => new BringUpToDate($this->current->id(), $part), array_chunk($stale, self::AT_ONCE)),
            )
                ->name('records')->allowFailures()->dispatch();
            Cache::put($this->key(), [$batch->id, count($stale)], now()->addDay());

            return $batch;
        }) ?: $this->goingOn();
    }

    /** The batch that is at work, if any. */
    public function goingOn(): ?Batch
    {
        $batch = $this->last();

        return $batch === null || self::isOver($batch) ? null : $batch;
    }

    /**
     * How far they are. While a batch is at work what is left is counted by its jobs: finding what is old takes longer than a learner.
     *
     * @return array{stale: int, progress: ?array{done: int, of: int}, failed: int} learners left to do, and jobs: at work, and failed a short while ago
     */
    public function state(): array
    {
        $batch = $this->goingOn();
        if ($batch === null) {
            return ['stale' => count($this->stale()), 'progress' => null, 'failed' => $this->failed()];
        }
        $left = max(1, $this->kept()[1] - self::AT_ONCE * $batch->processedJobs());

        return ['stale' => $left, 'progress' => ['done' => $batch->processedJobs(), 'of' => $batch->totalJobs], 'failed' => $this->failed()];
    }

    /**
     * What answers about all records hang on beside what is written: what was found in the background, and which lessons and tests are yet to come.
     *
     * @return ?string null while they change
     */
    public function stamp(): ?string
    {
        $batch = $this->last();
        if ($batch !== null && (! self::isOver($batch) || self::failedLately($batch) > 0)) {
            return null;
        }
        $next = static fn ($rows): mixed => $rows->where('starts_at', '>', now())->min('starts_at');

        return hash('xxh128', json_encode([
            SchoolVersion::found($this->current->id()),
            $next(Lesson::query()), $next(BusyTime::query()->where('kind', 'test')), now()->format('Y-m-d'),
        ], JSON_THROW_ON_ERROR));
    }

    /** How many jobs of the last batch failed, where that was a short while ago. */
    public function failed(): int
    {
        $batch = $this->last();

        return $batch !== null && self::isOver($batch) ? self::failedLately($batch) : 0;
    }

    private static function failedLately(Batch $batch): int
    {
        return $batch->createdAt->isAfter(now()->subMinutes(self::AGAIN_AFTER_MINUTES)) ? $batch->failedJobs : 0;
    }

    /** A job that failed for good stays pending in its batch. */
    private static function isOver(Batch $batch): bool
    {
        return $batch->finished() || $batch->cancelled() || $batch->pendingJobs <= $batch->failedJobs;
    }

    private function last(): ?Batch
    {
        $id = $this->kept()[0];

        return $id === null ? null : Bus::findBatch($id);
    }

    /** @return array{?string, int} the last batch, and how many learners it began with */
    private function kept(): array
    {
        $kept = Cache::get($this->key());

        return is_array($kept) && is_string($kept[0] ?? null) && is_int($kept[1] ?? null) ? [$kept[0], $kept[1]] : [null, 0];
    }

    private function key(): string
    {
        return 'records of '.$this->current->id();
    }
}
