<?php

namespace App\Diary;

use App\Models\BusyTime;
use App\Models\Lesson;
use App\Models\Round;
use App\Models\School;
use App\Models\Vehicle;
use App\Models\WaitingLearner;
use DateTimeZone;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use NobleTurn\Core\Diary\Offer;
use NobleTurn\Core\Diary\Offers;
use NobleTurn\Core\Diary\Period;
use NobleTurn\Core\Diary\Waiting;
use NobleTurn\Core\Diary\Wish;
use NobleTurn\Core\Site\Position;

/** To whom of the waiting list the hour of a cancelled lesson is offered, best first, with the reasons. */
final readonly class OffersOf
{
    /** What is free right before and after it counts as well, s (assumed). */
    private const ABOUT = 3_600;

    public function __construct(private School $school)
    {
    }

    /** @return list<array<string, mixed>> */
    public function of(Lesson $lesson): array
    {
        $now = Carbon::now()->getTimestamp();
        [$from, $until] = [max($now, $lesson->starts_at->getTimestamp() - self::ABOUT), $lesson->ends()->getTimestamp() + self::ABOUT];
        $waiting = WaitingLearner::query()->with('learner')->whereHas('learner', static fn ($of) => $of->whereNull('deleted_at'))
            ->where('learner_id', '!=', $lesson->learner_id)->get()->keyBy('id');
        if ($until <= $from || $waiting->isEmpty()) {
            return [];
        }
        $starts = $lesson->starts_at->copy()->setTimezone($this->school->time_zone)->startOfDay();
        $others = Appointments::taking($lesson->instructor_id, $starts->copy()->utc(), $starts->copy()->addDay()->utc())
            ->filter(static fn (Lesson|BusyTime $one): bool => $one->id !== $lesson->id);
        $offers = (new Offers(new DateTimeZone($this->school->time_zone), Told::sun($this->school)))->of(
            new Period($from, $until), $this->waiting($waiting, $lesson), Appointments::day($others, $this->school),
        );

        return $this->possible($offers, $waiting, $lesson);
    }

    /**
     * @param  Collection<string, WaitingLearner>  $waiting
     * @return list<Waiting>
     */
    private function waiting(Collection $waiting, Lesson $instead): array
    {
        $learners = $waiting->pluck('learner_id')->all();
        // What they drive until then counts as well.
        $driven = Lesson::query()->toBase()->whereIn('learner_id', $learners)->where('starts_at', '<', $instead->starts_at)
            ->whereIn('state', ['booked', 'done', 'cut-short'])
            ->groupBy('learner_id')->selectRaw('learner_id, MAX(starts_at) AS last_at')->pluck('last_at', 'learner_id');
        $tests = BusyTime::query()->toBase()->where('kind', 'test')->whereIn('learner_id', $learners)->where('starts_at', '>', now())
            ->whereNull('deleted_at')->groupBy('learner_id')->selectRaw('learner_id, MIN(starts_at) AS test_at')->pluck('test_at', 'learner_id');
        $inTheDark = Round::query()->toBase()->join('lessons', 'lessons.id', '=', 'rounds.lesson_id')->whereIn('lessons.learner_id', $learners)
            ->whereRaw("JSON_VALUE(rounds.conditions, '$.light') = 'night'")->distinct()->pluck('lessons.learner_id')->flip();
        $epoch = static fn (?string $at): ?int => $at === null ? null : Carbon::parse($at, 'UTC')->getTimestamp();

        return array_values($waiting->map(static fn (WaitingLearner $one): Waiting => new Waiting(
            $one->id, 60 * $one->minutes, $one->learner->pick_up_latitude_deg === null || $one->learner->pick_up_longitude_deg === null ? null
                : Position::ofDegrees($one->learner->pick_up_latitude_deg, $one->learner->pick_up_longitude_deg),
            array_map(self::wish(...), $one->wishes), $epoch($tests[$one->learner_id] ?? null), $epoch($driven[$one->learner_id] ?? null),
            ! isset($inTheDark[$one->learner_id]),
        ))->all());
    }

    /** @param  array{days: list<int>, from: string, until: string}  $wish */
    private static function wish(array $wish): Wish
    {
        // The last minute of a day is its end: nobody can say 24:00.
        $minute = static fn (string $at): int => $at === '23:59' ? 1_440 : 60 * (int) substr($at, 0, 2) + (int) substr($at, 3, 2);

        return new Wish($wish['days'], $minute($wish['from']), $minute($wish['until']));
    }

    /**
     * Those for whom learner and a car that fits them are free then.
     *
     * @param  list<Offer>  $offers
     * @param  Collection<string, WaitingLearner>  $waiting
     * @return list<array<string, mixed>>
     */
    private function possible(array $offers, Collection $waiting, Lesson $instead): array
    {
        // The car of the lesson that is off comes first.
        $cars = Vehicle::query()->orderBy('created_at')->orderBy('id')->get()->sortByDesc(static fn (Vehicle $car): bool => $car->id === $instead->vehicle_id);
        $tried = [];
        foreach ($offers as $offer) {
            $one = $waiting[$offer->to->id];
            foreach ($cars->where('transmission', $one->learner->transmission) as $car) {
                $lesson = new Lesson([
                    'learner_id' => $one->learner_id, 'vehicle_id' => $car->id, 'minutes' => $one->minutes,
                    'starts_at' => Carbon::createFromTimestampUTC(self::starts($offer, $instead)),
                ]);
                $lesson->instructor_id = $instead->instructor_id;
                $tried[] = [$offer, $one, $lesson->setRelation('vehicle', $car)];
            }
        }
        $told = [];
        foreach (Clash::ofEach(array_column($tried, 2)) as $i => $clashes) {
            [$offer, $one, $lesson] = $tried[$i];
            if ($clashes === []) {
                $told[$one->id] ??= $this->line($offer, $one, $lesson);
            }
        }

        return array_values($told);
    }

    /** @return array<string, mixed> */
    private function line(Offer $offer, WaitingLearner $one, Lesson $lesson): array
    {
        return [
            'learner' => $one->learner->only(['id', 'name']), 'vehicle' => $lesson->vehicle->only(['id', 'name']), 'phone' => $one->learner->phone,
            'starts_at' => $lesson->starts_at->toIso8601ZuluString(), 'earliest_at' => Told::moment($offer->starts),
            'latest_at' => Told::moment(intdiv($offer->latest, 60) * 60), 'minutes' => $one->minutes,
            'reasons' => $this->reasons($offer), 'note' => $one->note, 'text' => $this->text($lesson, $one),
        ];
    }

    /** The hour that came free, where it fits; else the first that does. */
    private static function starts(Offer $offer, Lesson $instead): int
    {
        $then = $instead->starts_at->getTimestamp();

        return $offer->starts <= $then && $then <= $offer->latest ? $then : $offer->starts;
    }

    /** @return list<string> what speaks for it, and what against, most first */
    private function reasons(Offer $offer): array
    {
        // By the calendar: from Monday to Wednesday it is two days, whatever the hours.
        $noon = fn (?int $at): Carbon => Carbon::createFromTimestamp($at ?? 0, $this->school->time_zone)->setTime(12, 0);
        $days = static fn (?int $from, ?int $until): int => (int) round($noon($from)->diffInDays($noon($until)));
        $weights = $offer->reasons;
        uasort($weights, static fn (float $a, float $b): int => abs($b) <=> abs($a));
        $count = static fn (int $number, string $what): string => $number === 1 ? "1 {$what}" : "{$number} {$what}s";
        $said = [];
        foreach (array_keys($weights) as $reason) {
            $said[] = match ($reason) {
                'test' => self::in($days($offer->starts, $offer->to->testAt), 'test in %s', 'test that day'),
                'pause' => match (true) {
                    $offer->to->lastAt === null => 'has not driven yet',
                    $offer->to->lastAt > Carbon::now()->getTimestamp() => self::in(
                        $days($offer->to->lastAt, $offer->starts), 'drives %s before, too', 'drives that day already',
                    ),
                    default => self::in($days($offer->to->lastAt, $offer->starts), 'last drove %s before', 'drove that day already'),
                },
                'dark' => 'no drive in the dark is noted yet, and it will be dark',
                default => $count((int) Told::minutes((int) $offer->drive), 'minute').' more of driving for you',
            };
        }

        return $said;
    }

    private static function in(int $days, string $words, string $atOnce): string
    {
        return $days < 1 ? $atOnce : sprintf($words, $days === 1 ? '1 day' : "{$days} days");
    }

    private function text(Lesson $lesson, WaitingLearner $one): string
    {
        $at = $lesson->starts()->setTimezone($this->school->time_zone);

        return explode(' ', $one->learner->name)[0].', an hour has come free: would you like a lesson on '.$at->format('l j F').' at '.$at->format('H:i')
            ." for {$one->minutes} minutes? Please answer soon; others are waiting too.";
    }
}
