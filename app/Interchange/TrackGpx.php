<?php

namespace App\Interchange;

use Carbon\CarbonImmutable;
use NobleTurn\Core\Site\Position;
use NobleTurn\Core\Track\Fix;
use NobleTurn\Core\Track\Track;
use XMLReader;

/**
 * A recorded drive as GPX (1.0 or 1.1): its track points in the order of the file, each with its time. Nothing in a file is looked up anywhere: one
 * that brings a document type, and with it entities, is refused; so is one whose times go back. One that is longer than a day of lessons is cut.
 */
final readonly class TrackGpx
{
    private const NAMESPACES = ['http://www.topografix.com/GPX/1/0', 'http://www.topografix.com/GPX/1/1'];

    /** More fixes, and longer, nobody drives in a lesson or two: what comes after is left out. */
    private const MOST_FIXES = 20_000;

    private const LONGEST_S = 4 * 3600;

    private const LONGEST_TEXT = 60;

    /** @param  list<string>  $left  sentences on what was left out */
    private function __construct(public Track $track, public CarbonImmutable $began, public array $left)
    {
    }

    /** @throws UnreadableTrack */
    public static function read(string $text): self
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw new UnreadableTrack('must be UTF-8.');
        }
        $before = libxml_use_internal_errors(true);
        try {
            return self::fixes($text);
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($before);
        }
    }

    private static function fixes(string $text): self
    {
        $xml = new XMLReader;
        $xml->XML($text, 'UTF-8', LIBXML_NONET);
        $fixes = [];
        $began = null;
        $cut = null;
        $isGpx = false;
        while (@$xml->read()) {
            if (in_array($xml->nodeType, [XMLReader::DOC_TYPE, XMLReader::ENTITY, XMLReader::ENTITY_REF], true)) {
                throw new UnreadableTrack('must have no document type and no entities.');
            }
            if ($xml->nodeType !== XMLReader::ELEMENT) {
                continue;
            }
            if (! $isGpx) {
                if ($xml->localName !== 'gpx' || ! in_array($xml->namespaceURI, self::NAMESPACES, true)) {
                    throw new UnreadableTrack('must be GPX: its first element is another.');
                }
                $isGpx = true;
            }
            if ($xml->localName !== 'trkpt') {
                continue;
            }
            $number = count($fixes) + 1;
            [$at, $time] = self::fix($xml, $number);
            $began ??= $time;
            $seconds = $began->diffInMilliseconds($time) / 1000.0;
            $last = $fixes === [] ? null : $fixes[count($fixes) - 1]->seconds;
            if ($last !== null && $seconds < $last) {
                throw new UnreadableTrack("must be in the order of time: point {$number} is earlier than the one before it.");
            }
            if ($number > self::MOST_FIXES || $seconds > self::LONGEST_S) {
                $cut = $number > self::MOST_FIXES ? 'Only the first '.number_format(self::MOST_FIXES).' points are read.' : sprintf(
                    'Only the first %d hours are read.', intdiv(self::LONGEST_S, 3600),
                );
                break;
            }
            // Two fixes at one moment: the first is as good.
            if ($last === null || $seconds > $last) {
                $fixes[] = new Fix($at, $seconds);
            }
        }
        if ($cut === null) {
            self::refuseSpoilt();
        }
        if ($began === null || count($fixes) < 2) {
            throw new UnreadableTrack('must hold a track of two points or more.');
        }
        $track = Track::of($fixes);
        $breaks = $track->breaks();

        return new self($track, $began, array_values(array_filter([
            $cut, $breaks === 0 ? null : 'The receiver jumped or was silent '.($breaks === 1 ? 'once' : "{$breaks} times").': nothing is measured across it.',
        ])));
    }

    /**
     * @return array{Position, CarbonImmutable}
     *
     * @throws UnreadableTrack
     */
    private static function fix(XMLReader $xml, int $number): array
    {
        $degrees = static function (string $name, float $most) use ($xml, $number): float {
            $said = $xml->getAttribute($name);
            if ($said === null || ! is_numeric($said) || abs((float) $said) > $most) {
                throw new UnreadableTrack("must have at point {$number} a {$name} from -{$most} to {$most}.");
            }

            return (float) $said;
        };
        $at = Position::ofDegrees($degrees('lat', 90.0), $degrees('lon', 180.0));
        $depth = $xml->depth;
        $time = null;
        // An empty element has nothing in it to read.
        while (! $xml->isEmptyElement && @$xml->read() && ! ($xml->nodeType === XMLReader::END_ELEMENT && $xml->depth === $depth)) {
            if (in_array($xml->nodeType, [XMLReader::ENTITY_REF, XMLReader::DOC_TYPE], true)) {
                throw new UnreadableTrack('must have no document type and no entities.');
            }
            if ($xml->nodeType === XMLReader::ELEMENT && $xml->localName === 'time' && $xml->depth === $depth + 1) {
                $time = @$xml->readString();
            }
        }
        self::refuseSpoilt();
        if ($time === null) {
            throw new UnreadableTrack("must say the time of every point: point {$number} has none, so that nothing can be measured.");
        }
        $time = trim($time);
        $pattern = '/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,9})?(Z|[+-]\d{2}:\d{2})?$/D';
        if (strlen($time) > self::LONGEST_TEXT || preg_match($pattern, $time) !== 1) {
            throw new UnreadableTrack("must have at point {$number} a time such as 2026-05-20T09:00:00Z.");
        }
        try {
            $moment = CarbonImmutable::parse($time, 'UTC')->utc();
        } catch (\Exception) {
            throw new UnreadableTrack("must have at point {$number} a time that there is.");
        }
        // What a row can keep.
        if ($moment->year < 2000 || $moment->year > 2099) {
            throw new UnreadableTrack("must have at point {$number} a time of this century.");
        }

        return [$at, $moment];
    }

    /** @throws UnreadableTrack where what was read so far is no XML */
    private static function refuseSpoilt(): void
    {
        $error = libxml_get_last_error();
        if ($error !== false) {
            throw new UnreadableTrack(str_contains($error->message, 'ntity') ? 'must have no document type and no entities.'
                : "must be XML that can be read: line {$error->line} cannot.");
        }
    }
}
