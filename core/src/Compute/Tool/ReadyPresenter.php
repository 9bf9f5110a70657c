<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Next\Forecast;
use NobleTurn\Core\Next\Missing;
use NobleTurn\Core\Next\MissingKind;
use NobleTurn\Core\Next\Ready;
use NobleTurn\Core\Next\Verdict;
use NobleTurn\Core\Trade\RoutineCode;

/** From how near somebody is to their test to fields. */
final class ReadyPresenter
{
    /** @return array<string, array<string, mixed>> */
    public static function schema(): array
    {
        $range = static fn (array $of): array => Out::maybe(
            Out::object(['low' => $of, 'middle' => $of, 'high' => $of]), 'ends of the 80 % range; null without marks',
        );
        $chance = static fn (string $about): array => Out::number($about);

        return [
            'verdict' => Out::choice(Verdict::class, 'ready only where nothing is missing'),
            'message' => Out::text('as a sentence'),
            'chance' => Out::maybe(Out::object([
                'estimate' => $chance('to pass today, 0 to 1'), 'low' => $chance('lower end of the 80 % range'), 'high' => $chance('its upper end'),
            ]), 'null without marks'),
            'missing' => Out::list(Out::object([
                'kind' => Out::choice(MissingKind::class), 'routine' => Out::choice(RoutineCode::class, 'null where it is none', nullable: true),
                'condition' => Out::text('null where it is none', nullable: true), 'have' => Out::number(''), 'wanted' => Out::number(''),
                'unit' => Out::text(''), 'message' => Out::text('as a sentence'),
            ]), 'in the order in which it would be done'),
            'lessons' => $range(Out::integer('to go; where it is most_lessons, that many or more')),
            'most_lessons' => Out::integer('no further ahead is looked'),
            'date' => $range(Out::text('a day')),
            'in_time' => ['type' => ['boolean', 'null'], 'description' => 'before the test, by the middle of the range; null without a test or marks'],
            'lessons_by_test' => Out::integer('that there is time for, or as many as are booked; null without a test', nullable: true),
            'shortens' => Out::list(Out::object([
                'what' => Out::choice(['practice', 'lessons']), 'minutes_a_week' => Out::number('more of it'),
                'saves_lessons' => Out::integer('negative: more of them'),
                'saves_days' => Out::integer(''), 'message' => Out::text('as a sentence'),
            ]), 'most first'),
        ];
    }

    /**
     * The mean, and what eight of ten draws lie between; where one in a hundred is far off, the mean lies outside of those, and is in the range all the same.
     *
     * @return array{estimate: float, low: float, high: float}
     */
    private static function chance(Forecast $forecast): array
    {
        $estimate = $forecast->chance();

        return [
            'estimate' => round($estimate, 3), 'low' => round(min($estimate, (float) Forecast::quantile($forecast->chances, 0.1)), 3),
            'high' => round(max($estimate, (float) Forecast::quantile($forecast->chances, 0.9)), 3),
        ];
    }

    /**
     * @param  int  $booked  lessons before the test
     * @return array<string, mixed>
     */
    public static function body(Ready $ready, ?\DateTimeImmutable $testOn, int $booked = 0): array
    {
        $forecast = $ready->forecast;
        $lessons = $ready->lessons;
        $by = $testOn === null ? null : max($booked, $ready->lessonsBy($testOn));

        return [
            'verdict' => $ready->verdict->value,
            'message' => self::message($ready, $by, $booked),
            'chance' => $forecast === null ? null : self::chance($forecast),
            'missing' => array_map(static fn (Missing $one): array => [
                'kind' => $one->kind->value, 'routine' => $one->routine?->value, 'condition' => $one->condition, 'have' => $one->have,
                'wanted' => $one->wanted, 'unit' => $one->unit, 'message' => $one->message,
            ], $ready->missing),
            'lessons' => $lessons,
            'most_lessons' => Forecast::MOST_LESSONS,
            'date' => $lessons === null ? null : array_map(static fn (int $number): string => $ready->after($number)->format('Y-m-d'), $lessons),
            'in_time' => $lessons === null || $by === null ? null : $lessons['middle'] <= $by,
            'lessons_by_test' => $by,
            'shortens' => array_map(static fn (array $one): array => [
                'what' => $one['what'], 'minutes_a_week' => $one['minutes'], 'saves_lessons' => $one['saves'], 'saves_days' => $one['days'],
                'message' => sprintf($one['what'] === 'practice' ? 'An hour a week of practice with somebody else: about %s sooner.'
                    : 'An hour a week more of lessons: about %s sooner.', self::days($one['days'])),
            ], $ready->shortens),
        ];
    }

    private static function days(int $days): string
    {
        return $days < 14 ? ($days === 1 ? '1 day' : "{$days} days") : sprintf('%d weeks', (int) round($days / 7));
    }

    private static function message(Ready $ready, ?int $by, int $booked): string
    {
        $lessons = $ready->lessons;
        if ($lessons === null) {
            return 'Nothing is marked yet: nobody can say.';
        }
        $most = Forecast::MOST_LESSONS;
        $range = match (true) {
            $lessons['low'] >= $most => "more than {$most} lessons, if it goes on like this",
            $lessons['middle'] >= $most => "{$lessons['low']} lessons at the least; how many in the end nobody can say yet",
            $lessons['high'] >= $most => "about {$lessons['middle']} lessons to go, {$lessons['low']} at the least and perhaps many more",
            $lessons['low'] === $lessons['high'] => $lessons['low'] === 1 ? 'about 1 lesson to go' : "about {$lessons['low']} lessons to go",
            default => "{$lessons['low']} to {$lessons['high']} lessons to go",
        };

        return match ($ready->verdict->value) {
            'ready' => 'Nothing is missing: by the record they are ready.',
            'nearly' => $lessons['middle'] === 0 ? 'By the record they would pass; what is missing stands below.' : "Nearly: {$range}.",
            default => "Not yet: {$range}.",
        }.($by === null ? '' : self::untilTheTest($by, $booked, $lessons['middle'] <= $by));
    }

    private static function untilTheTest(int $by, int $booked, bool $isEnough): string
    {
        if ($by === 0) {
            return $isEnough ? '' : ' Before the test there is time for none: it wants moving.';
        }
        $only = $isEnough ? '' : 'only ';
        $said = match (true) {
            $booked === $by => $only.($booked === 1 ? '1 is booked' : "{$booked} are booked"),
            $booked > 0 => "there is time for {$only}{$by}, {$booked} of them booked",
            default => "there is time for {$only}{$by}",
        };

        return " Until the test {$said}".($isEnough ? '.' : ': it wants moving, or more lessons.');
    }
}
