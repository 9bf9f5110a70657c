<?php

namespace App\Interchange;

use DateTimeImmutable;
use DateTimeZone;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\ParseException;
use Sabre\VObject\Reader;
use Throwable;

/** Times at which somebody is busy, read from a calendar of theirs as iCalendar (RFC 5545): series unfolded with their exceptions, days as a whole. */
final class BusyCalendar
{
    /**
     * @param  DateTimeZone  $zone  in which times are that name none, and days
     * @return list<array{title: ?string, from: DateTimeImmutable, until: DateTimeImmutable}> in their order, UTC; what takes no time is left out
     *
     * @throws UnreadableCalendar where it is none
     */
    public static function read(string $file, DateTimeImmutable $from, DateTimeImmutable $until, DateTimeZone $zone): array
    {
        try {
            $read = Reader::read($file, Reader::OPTION_FORGIVING);
        } catch (ParseException) {
            throw new UnreadableCalendar('This is no calendar file (iCalendar, .ics).');
        }
        if (! $read instanceof VCalendar) {
            throw new UnreadableCalendar('This is no calendar file (iCalendar, .ics).');
        }
        try {
            $unfolded = $read->expand($from, $until, $zone);
        } catch (Throwable) {
            throw new UnreadableCalendar('A series in this calendar cannot be unfolded.');
        }
        $busy = [];
        foreach ($unfolded->select('VEVENT') as $event) {
            $times = $event instanceof VEvent ? self::times($event, $zone) : null;
            if ($times !== null && $times['until'] > $from && $times['from'] < $until) {
                $busy[] = $times;
            }
        }
        usort($busy, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);

        return $busy;
    }

    /** @return array{title: ?string, from: DateTimeImmutable, until: DateTimeImmutable}|null */
    private static function times(VEvent $event, DateTimeZone $zone): ?array
    {
        if (self::said($event, 'TRANSP') === 'TRANSPARENT' || self::said($event, 'STATUS') === 'CANCELLED' || ! isset($event->DTSTART)) {
            return null;
        }
        $utc = new DateTimeZone('UTC');
        $starts = $event->DTSTART->getDateTime($zone);
        $ends = match (true) {
            isset($event->DTEND) => $event->DTEND->getDateTime($zone),
            isset($event->DURATION) => $starts->add($event->DURATION->getDateInterval()),
            // A day without an end is that day; a moment takes no time.
            ! $event->DTSTART->hasTime() => $starts->modify('+1 day'),
            default => $starts,
        };
        $title = trim(self::said($event, 'SUMMARY'));

        return $ends > $starts ? [
            'title' => $title === '' ? null : mb_substr($title, 0, 120), 'from' => $starts->setTimezone($utc), 'until' => $ends->setTimezone($utc),
        ] : null;
    }

    private static function said(VEvent $event, string $property): string
    {
        return (string) ($event->select($property)[0] ?? '');
    }
}
