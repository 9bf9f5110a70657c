<?php

namespace App\Marks;

use App\Diary\Told;
use App\Models\AccompaniedDrive;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\School;
use Illuminate\Support\Collection;
use NobleTurn\Core\Record\Company;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\HeldHours;
use NobleTurn\Core\Record\Hours;
use NobleTurn\Core\Record\HoursBook;
use NobleTurn\Core\Record\TimeAtWheel;
use NobleTurn\Core\Rules\AskedByLaw;
use NobleTurn\Core\Rules\RulePack;

/** The time of a learner at the wheel: with an instructor and accompanied, what it was driven in, and what the law asks of it. */
final readonly class LearnerHours
{
    public HoursBook $book;

    /** @var Collection<string, Lesson|AccompaniedDrive> what was driven, by id, latest first */
    private Collection $rows;

    public function __construct(private Learner $learner, private School $school)
    {
        $rounds = [];
        foreach (StandingMarks::of($learner) as $round) {
            $rounds[$round->lesson][] = $round->conditions;
        }
        // A lesson that is over but was never closed was driven all the same where rounds were marked in it.
        $lessons = $learner->lessons()->with('instructor')->get()->toBase()
            ->filter(static fn (Lesson $lesson): bool => $lesson->state()->isDriven() || isset($rounds[$lesson->id]));
        $alone = AccompaniedDrive::query()->where('learner_id', $learner->id)->get()->toBase();
        $this->rows = collect([...$lessons, ...$alone])->sortByDesc('starts_at')->keyBy('id');
        $sun = Told::sun($school);
        $this->book = new HoursBook(array_values($this->rows->map(static fn (Lesson|AccompaniedDrive $row): TimeAtWheel => TimeAtWheel::of(
            $row->id, $row instanceof Lesson ? Company::Instructor : Company::Accompanied, $row->starts_at->getTimestamp(),
            (float) ($row instanceof Lesson ? $row->lasts() : $row->minutes),
            $row instanceof Lesson ? $rounds[$row->id] ?? [] : [Conditions::of($row->conditions)], $sun,
        ))->all()));
    }

    /** @return array<string, mixed> as it is answered */
    public function told(RulePack $pack): array
    {
        $asked = array_values(array_filter($pack->askedByLaw(), fn (AskedByLaw $one): bool => ! $one->ofMinors || $this->learner->is_minor));

        return [
            'learner' => $this->learner->only(['id', 'name']),
            'pack' => $pack->name(),
            'asks_of_minors' => array_filter($pack->askedByLaw(), static fn (AskedByLaw $one): bool => $one->ofMinors) !== [],
            'total' => $this->book->minutes(),
            'with' => array_map(fn (Company $with): array => ['with' => $with->value, 'minutes' => $this->book->minutes($with)], Company::cases()),
            'parts' => $this->parts(),
            'asked' => array_map(static fn (HeldHours $held): array => [
                'code' => $held->asked->code, 'title' => $held->asked->title, 'have' => $held->have, 'wanted' => $held->asked->wanted,
                'light' => $held->asked->light, 'is_met' => $held->isMet(), 'message' => $held->message(), 'source' => $held->asked->source->words(),
            ], array_map($this->book->against(...), $asked)),
            'drives' => array_map($this->drive(...), $this->book->times),
        ];
    }

    public function csv(): string
    {
        return HoursFile::of($this->book->times, $this->rows, $this->school->time_zone);
    }

    /** @return list<array{kind: string, condition: string, instructor: float, accompanied: float}> what was driven at all, kind by kind */
    private function parts(): array
    {
        $parts = [];
        foreach (Conditions::KINDS as $kind => $names) {
            foreach ([...$names, Hours::NOT_NOTED] as $name) {
                [$taught, $alone] = array_map(fn (Company $with): float => $this->book->minutes($with, $kind, $name), Company::cases());
                if ($taught + $alone > 0.0) {
                    $parts[] = ['kind' => $kind, 'condition' => $name, 'instructor' => $taught, 'accompanied' => $alone];
                }
            }
        }

        return $parts;
    }

    /** @return array<string, mixed> */
    private function drive(TimeAtWheel $time): array
    {
        $row = $this->rows[$time->id];

        return [
            'id' => $time->id, 'with' => $time->with->value, 'instructor' => $row instanceof Lesson ? $row->instructor->name : null,
            'starts_at' => $row->starts_at->toIso8601ZuluString(), 'minutes' => $time->minutes, 'minutes_of' => $time->minutesOf, 'by_sun' => $time->bySun,
            'conditions' => $row instanceof AccompaniedDrive ? (object) $row->conditions : null, 'note' => $row instanceof AccompaniedDrive ? $row->note : null,
        ];
    }
}
