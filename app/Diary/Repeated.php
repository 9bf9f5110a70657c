<?php

namespace App\Diary;

use App\Http\Resources\Show;
use App\Models\Lesson;
use App\Models\School;
use DateTimeImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Diary\Series;

/**
 * A lesson again, at the same hour every week or every few: the ones to come after it. Once booked each is a lesson of its own. Where
 * some are there already they are taken by themselves, so that a series is gone on with, or mended, by asking for it again.
 */
final readonly class Repeated
{
    /** What the lessons to come have from the first: all but what is said and done in it. */
    private const ALIKE = ['learner_id', 'vehicle_id', 'minutes', 'pick_up', 'pick_up_latitude_deg', 'pick_up_longitude_deg',
        'drop_off', 'drop_off_latitude_deg', 'drop_off_longitude_deg'];

    public function __construct(private School $school)
    {
    }

    /**
     * @param  Lesson  $first  with its learner; kept or not
     * @param  int  $weeks  from one to the next
     * @param  int  $times  how many more than the first, those that are left out among them; what is over by now is not counted
     * @param  list<string>  $without  days without one, `2027-03-28` by the clock of the school
     * @return list<Lesson> as they would be
     */
    public function lessons(Lesson $first, int $weeks, int $times, array $without = []): array
    {
        $starts = $first->starts_at->copy()->setTimezone($this->school->time_zone)->toDateTimeImmutable();
        $now = now()->toDateTimeImmutable();
        $over = count(array_filter((new Series($starts, $weeks, Series::MOST))->moments(), static fn ($at): bool => $at <= $now));
        // The first is no repetition, whether it is over or to come.
        $before = min(max(1, $over), Series::MOST - 1);
        $all = (new Series($starts, $weeks, min(Series::MOST, $before + $times)))->moments();
        $coming = array_filter(array_slice($all, $before), static fn ($at): bool => ! in_array($at->format('Y-m-d'), $without, true));

        return array_values(array_map(static function (DateTimeImmutable $at) use ($first): Lesson {
            $lesson = new Lesson([...$first->only(self::ALIKE), 'state' => 'booked', 'starts_at' => Carbon::instance($at)->utc()]);
            $lesson->instructor_id = $first->instructor_id;
            $lesson->setRelation('learner', $first->learner);

            return $lesson;
        }, $coming));
    }

    /**
     * @param  list<Lesson>  $lessons
     * @return list<array<string, mixed>> what each would mean
     */
    public function told(array $lessons): array
    {
        $sun = Told::sun($this->school);
        $zone = $this->school->time_zone;

        return array_map(static fn (Lesson $lesson, array $clashes): array => [
            'starts_at' => $lesson->starts_at->toIso8601ZuluString(), 'day' => $lesson->starts_at->copy()->setTimezone($zone)->toDateString(),
            'clashes' => $clashes, ...Told::light($sun, $lesson->period()),
        ], $lessons, Clash::ofEach($lessons));
    }

    /**
     * Books what can be booked; what has been taken meanwhile is left out, with the reason.
     *
     * @param  list<Lesson>  $lessons
     * @return array{booked: list<array<string, mixed>>, left_out: list<array{starts_at: string, why: string}>}
     */
    public function book(array $lessons): array
    {
        $booked = $leftOut = [];
        foreach ($lessons as $lesson) {
            try {
                Bookings::with($lesson, static fn (Lesson $lesson): bool => $lesson->save());
                $booked[] = Show::lessonLine($lesson->load(['learner', 'vehicle']));
            } catch (ValidationException $taken) {
                $leftOut[] = ['starts_at' => $lesson->starts_at->toIso8601ZuluString(), 'why' => implode(' ', $taken->validator->errors()->all())];
            }
        }

        return ['booked' => $booked, 'left_out' => $leftOut];
    }
}
