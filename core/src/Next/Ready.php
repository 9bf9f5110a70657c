<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Record\HoursBook;
use NobleTurn\Core\Rules\AskedByLaw;
use NobleTurn\Core\Vehicle\Transmission;

/** How near somebody is to their test, what is missing, and how many lessons that may take. It advises: the instructor decides. */
final readonly class Ready
{
    /** So few lessons to go, and it is nearly (assumed). */
    private const NEARLY = 3;

    /** What is asked of each way to be quicker (assumed): an hour a week more. */
    private const AN_HOUR = 60.0;

    /** From so few lessons on nothing is worth proposing. */
    private const WORTH_SAYING = 1;

    /**
     * @param  list<Missing>  $missing  in the order in which it would be done
     * @param  ?Forecast  $forecast  null where nothing is marked
     * @param  ?array{low: int, middle: int, high: int}  $lessons
     * @param  list<array{what: string, minutes: float, saves: int, days: int}>  $shortens  most first
     */
    private function __construct(
        public Verdict $verdict, public array $missing, public ?Forecast $forecast, public ?array $lessons, public array $shortens, private Schedule $schedule,
        private Learner $learner,
    ) {
    }

    /**
     * @param  list<\DateTimeImmutable>  $passed  when mock tests were
     * @param  list<AskedByLaw>  $asked  of this learner
     */
    public static function of(
        Learner $learner, Scheme $scheme, Transmission $transmission, Schedule $schedule, int $seed, array $passed = [], ?HoursBook $hours = null,
        array $asked = [], bool $saysWhatShortens = true,
    ): self {
        $required = Required::of($learner->pack, $transmission);
        $missing = Missing::of($learner, $required, $passed, $hours, $asked);
        if ($required === [] || array_filter($learner->marks) === []) {
            return new self(Verdict::Unknown, $missing, null, null, [], $schedule, $learner);
        }
        $test = new TestDrive($scheme);
        $least = self::least($missing, $schedule);
        $lessons = static fn (Forecast $forecast, float $share): int => min(
            Forecast::MOST_LESSONS, max((int) Forecast::quantile($forecast->lessons, $share), $least),
        );
        $forecast = Forecast::of($learner, $required, $test, $schedule, $seed);
        $range = ['low' => $lessons($forecast, 0.1), 'middle' => $lessons($forecast, 0.5), 'high' => $lessons($forecast, 0.9)];
        $verdict = match (true) {
            $missing === [] && $range['middle'] === 0 => Verdict::Ready,
            $range['middle'] <= self::NEARLY => Verdict::Nearly,
            default => Verdict::NotYet,
        };
        $shortens = [];
        // Of what is too far to be foretold nobody can say how much sooner. It takes as long as all the rest.
        $isForetold = $saysWhatShortens && $range['middle'] > self::WORTH_SAYING && $range['middle'] < Forecast::MOST_LESSONS;
        $ways = ['practice' => $schedule->withPractice(self::AN_HOUR), 'lessons' => $schedule->withLessons(self::AN_HOUR)];
        $few = static fn (Schedule $as): int => $lessons(Forecast::of($learner, $required, $test, $as, $seed, Forecast::FEW), 0.5);
        $asNow = $isForetold ? $few($schedule) : 0;
        foreach ($isForetold ? $ways : [] as $what => $more) {
            $middle = $few($more);
            $days = (int) round($asNow * $schedule->days() - $middle * $more->days());
            if ($days > 0) {
                $shortens[] = ['what' => $what, 'minutes' => self::AN_HOUR, 'saves' => $asNow - $middle, 'days' => $days];
            }
        }
        usort($shortens, static fn (array $one, array $other): int => $other['days'] <=> $one['days']);

        return new self($verdict, $missing, $forecast, $range, $shortens, $schedule, $learner);
    }

    /** How likely a test is to be passed on that day, from what is marked; null where nothing is. */
    public static function chance(Learner $learner, Scheme $scheme, Transmission $transmission): ?float
    {
        $required = Required::of($learner->pack, $transmission);
        if ($required === [] || array_filter($learner->marks) === []) {
            return null;
        }

        return Forecast::today($learner, $required, new TestDrive($scheme), 1);
    }

    /** The day after so many lessons, if they are driven as planned. */
    public function after(int $lessons): \DateTimeImmutable
    {
        return $this->learner->on->modify(sprintf('+%d days', (int) ceil($lessons * $this->schedule->days())));
    }

    /** Lessons by a day. */
    public function lessonsBy(\DateTimeImmutable $day): int
    {
        $days = ($day->getTimestamp() - $this->learner->on->getTimestamp()) / 86_400.0;

        return max(0, (int) floor($days / $this->schedule->days() + 1e-9));
    }

    /**
     * No fewer than what is missing takes, however quickly somebody learns: rounds, hours, a lesson for a mock test. Rounds in busy traffic can be those
     * of a routine that is missing as well.
     *
     * @param  list<Missing>  $missing
     */
    private static function least(array $missing, Schedule $schedule): int
    {
        $rounds = $busy = $minutes = $mocks = 0.0;
        foreach ($missing as $one) {
            match ($one->kind) {
                MissingKind::Condition => $busy += $one->rounds,
                MissingKind::Evidence, MissingKind::Routine => $rounds += $one->rounds,
                // Lessons that a law asks for are lessons; minutes may be driven with somebody else, but nobody promises that.
                MissingKind::Hours => $minutes = max($minutes, ($one->wanted - $one->have) * ($one->unit === 'lessons' ? $schedule->lessonMinutes : 1.0)),
                MissingKind::MockTest => $mocks++,
            };
        }
        $rounds = max($rounds, $busy);
        $weekly = $schedule->lessonMinutes + ($minutes > 0.0 ? $schedule->practiceMinutesAWeek * $schedule->days() / 7.0 : 0.0);

        return (int) ceil(max($rounds / $schedule->rounds(), $minutes / $weekly) + $mocks - 1e-9);
    }
}
