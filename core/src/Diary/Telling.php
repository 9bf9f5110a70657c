<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

use DateTimeImmutable;
use DateTimeZone;
use InvalidArgumentException;

/**
 * When a learner is told what of a lesson. It follows from what they were last told and what is so now, not from what happened between:
 * what was moved twice is told once, what was taken back is not told at all, and nothing is told a second time.
 */
final readonly class Telling
{
    /** So long nothing changed on a lesson before anybody is told of it, s: whoever books is not done yet (assumed). */
    public const SETTLES = 600;

    /** Who was told within this time before the reminder needs none, s (assumed). */
    private const FRESH = 12 * 3_600;

    private const TIME = '/^([01]\d|2[0-3]):[0-5]\d$/';

    /**
     * @param  string  $quietFrom  from then on nobody is written to, `21:00` by the clock of the place
     * @param  string  $quietUntil  until then, the same day or the next
     * @param  string  $remindsAt  on the day before a lesson
     *
     * @throws InvalidArgumentException where one is no time of day, or the quiet never ends
     */
    public function __construct(private DateTimeZone $zone, private string $quietFrom, private string $quietUntil, private string $remindsAt)
    {
        foreach ([$quietFrom, $quietUntil, $remindsAt] as $time) {
            preg_match(self::TIME, $time) === 1 ?: throw new InvalidArgumentException("{$time} is no time of day.");
        }
        $quietFrom !== $quietUntil ?: throw new InvalidArgumentException('The quiet has to begin and to end.');
    }

    /**
     * What is to be told next; null where there is nothing.
     *
     * @param  ?Known  $known  null where they were told nothing yet
     * @param  ?Period  $is  when the lesson is; null where it is off
     * @param  int  $changed  when it last changed, moment of the epoch, s
     * @param  int  $now  moment of the epoch, s: what has begun by then is past telling
     * @param  ?string  $where  the address at which they are met; null where it is as usual
     */
    public function next(?Known $known, ?Period $is, int $changed, int $now, ?string $where = null): ?Due
    {
        $begins = $is ?? $known?->period;
        if ($begins === null || $begins->from <= $now) {
            return null;
        }
        $kind = self::difference($known, $is, $where);
        if ($kind !== null) {
            $at = $this->awake(max($changed + self::SETTLES, $now));

            return new Due($kind, $at < $begins->from ? $at : null);
        }

        return $is === null || $known === null || $known->isReminded ? null : $this->reminder($known->at, $is->from, $now);
    }

    /** Whether nobody is written to then. */
    public function isQuiet(int $moment): bool
    {
        return $this->awake($moment) !== $moment;
    }

    private static function difference(?Known $known, ?Period $is, ?string $where): ?TextKind
    {
        $was = $known?->period;

        return match (true) {
            $was === null && $is === null => null,
            $was === null => TextKind::Booked,
            $is === null => TextKind::Cancelled,
            $was->from !== $is->from || $was->until !== $is->until || $known?->where !== $where => TextKind::Moved,
            default => null,
        };
    }

    /** On the day before and on no other: what was missed then is not made up for. */
    private function reminder(int $told, int $from, int $now): ?Due
    {
        $day = $this->local($from)->modify('-1 day');
        $due = $this->at($day, $this->remindsAt);
        $end = $this->at($day->modify('+1 day'), '00:00');
        $at = $this->awake(max($due, $now));

        return $told > $due - self::FRESH || $at >= $end ? null : new Due(TextKind::DayBefore, $at);
    }

    /** The first moment from then on at which somebody may be written to. */
    private function awake(int $moment): int
    {
        $time = $this->local($moment)->format('H:i');
        $isQuiet = $this->quietFrom < $this->quietUntil
            ? $time >= $this->quietFrom && $time < $this->quietUntil
            : $time >= $this->quietFrom || $time < $this->quietUntil;
        if (! $isQuiet) {
            return $moment;
        }
        $today = $this->at($this->local($moment), $this->quietUntil);

        return $today > $moment ? $today : $this->at($this->local($moment)->modify('+1 day'), $this->quietUntil);
    }

    private function local(int $moment): DateTimeImmutable
    {
        return (new DateTimeImmutable("@{$moment}"))->setTimezone($this->zone);
    }

    private function at(DateTimeImmutable $day, string $time): int
    {
        [$hours, $minutes] = array_map('intval', explode(':', $time));

        return $day->setTime($hours, $minutes)->getTimestamp();
    }
}
