<?php

namespace App\Interchange;

use XMLWriter;

/** A circuit as GPX 1.1 (https://www.topografix.com/GPX/1/1): its start, ways and end as waypoints, and as a route in the order driven. */
final class CircuitGpx
{
    /**
     * @param  array{name: string, latitude_deg: float|string, longitude_deg: float|string}  $start
     * @param  array{name: string, latitude_deg: float|string, longitude_deg: float|string}  $end
     * @param  list<array{name: string, routine: string, rounds: int, latitude_deg: float, longitude_deg: float}>  $stops  in the order driven
     */
    public static function out(string $name, array $start, array $end, array $stops): string
    {
        $xml = new XMLWriter;
        $xml->openMemory();
        $xml->setIndent(true);
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElement('gpx');
        $xml->writeAttribute('xmlns', 'http://www.topografix.com/GPX/1/1');
        $xml->writeAttribute('version', '1.1');
        $xml->writeAttribute('creator', 'Noble Turn');
        $xml->startElement('metadata');
        $xml->writeElement('name', self::plain($name));
        $xml->endElement();
        $places = [$start, ...$stops, $end];
        $isBack = [(float) $start['latitude_deg'], (float) $start['longitude_deg']] === [(float) $end['latitude_deg'], (float) $end['longitude_deg']];
        foreach ($isBack ? array_slice($places, 0, -1) : $places as $place) {
            self::point($xml, 'wpt', $place);
        }
        $xml->startElement('rte');
        $xml->writeElement('name', self::plain($name));
        foreach ($places as $place) {
            self::point($xml, 'rtept', $place);
        }
        $xml->endElement();
        $xml->endElement();
        $xml->endDocument();

        return $xml->outputMemory();
    }

    /** @param  array{name: string, latitude_deg: float|string, longitude_deg: float|string, routine?: string, rounds?: int}  $place */
    private static function point(XMLWriter $xml, string $element, array $place): void
    {
        $xml->startElement($element);
        $xml->writeAttribute('lat', sprintf('%.6F', (float) $place['latitude_deg']));
        // The schema has 180 degrees to the west only.
        $east = sprintf('%.6F', (float) $place['longitude_deg']);
        $xml->writeAttribute('lon', $east === '180.000000' ? '-180.000000' : $east);
        $xml->writeElement('name', self::plain($place['name']));
        if (isset($place['routine'], $place['rounds'])) {
            $xml->writeElement('desc', self::plain($place['routine']).', '.($place['rounds'] === 1 ? 'once' : "{$place['rounds']} rounds"));
        }
        $xml->endElement();
    }

    /** Without what XML cannot carry. */
    private static function plain(string $text): string
    {
        return (string) preg_replace('/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u', ' ', $text);
    }
}
