<?php

namespace App\Privacy;

use App\Models\Learner;
use App\Models\School;
use App\School\CurrentSchool;
use Illuminate\Support\Carbon;

/** How long a school keeps a learner after the last lesson: by its own setting, minors by one of their own, which is never longer. */
final readonly class Retention
{
    /** So long before the day a learner stands in the list of those to go, days (assumed). */
    private const TOLD_DAYS = 60;

    public function __construct(private CurrentSchool $current)
    {
    }

    /**
     * @return list<array{id: string, name: string, is_minor: bool, last_at: string, erased_on: string, keep_until: ?string}> who goes soon, minors first,
     *     then the earliest
     */
    public function coming(): array
    {
        $coming = array_filter($this->ends(), static fn (array $one): bool => $one['erased_on'] <= now()->addDays(self::TOLD_DAYS)->toDateString());
        usort(
            $coming,
            static fn (array $a, array $b): int => [! $a['is_minor'], $a['erased_on'], $a['name']] <=> [! $b['is_minor'], $b['erased_on'], $b['name']],
        );

        return $coming;
    }

    /** Erases whoever is due today. @return int how many */
    public static function run(CurrentSchool $current): int
    {
        $erased = 0;
        foreach (School::query()->where(fn ($schools) => $schools->whereNotNull('keep_months')->orWhereNotNull('keep_minors_months'))->get() as $school) {
            $erased += $current->within($school, static function () use ($current): int {
                $due = array_filter((new self($current))->ends(), static fn (array $one): bool => $one['erased_on'] <= now()->toDateString());
                foreach ($due as $one) {
                    Erasure::of(Learner::withTrashed()->findOrFail($one['id']));
                }

                return count($due);
            });
        }

        return $erased;
    }

    /**
     * @return list<array{id: string, name: string, is_minor: bool, last_at: string, erased_on: string,
     *     keep_until: ?string}> everybody whose records end some day; who has a lesson ahead is kept
     */
    private function ends(): array
    {
        $school = $this->current->school();
        $ends = [];
        foreach (Learner::withTrashed()->whereNull('erased_at')->withMax(['lessons as last_lesson_at' => fn ($lessons) => $lessons->where('state', '!=',
            'cancelled')], 'starts_at')->get() as $learner) {
            $months = self::months($school, $learner->is_minor);
            if ($months === null) {
                continue;
            }
            $last = Carbon::parse((string) ($learner->getAttribute('last_lesson_at') ?? $learner->getAttribute('created_at')));
            $end = $last->copy()->addMonthsNoOverflow($months)->max($learner->keep_until ?? $last);
            $ends[] = [
                'id' => $learner->id, 'name' => $learner->name, 'is_minor' => $learner->is_minor, 'last_at' => $last->toIso8601ZuluString(),
                'erased_on' => $end->toDateString(), 'keep_until' => $learner->keep_until?->toDateString(),
            ];
        }

        return $ends;
    }

    /** For a minor the shorter of the two: nobody is kept longer for being young. */
    private static function months(School $school, bool $isMinor): ?int
    {
        $of = array_filter(
            $isMinor ? [$school->keep_months, $school->keep_minors_months] : [$school->keep_months],
            static fn (?int $months): bool => $months !== null,
        );

        return $of === [] ? null : min($of);
    }
}
