<?php

namespace App\Sites;

/**
 * A JPEG with the picture in it and nothing else: where and when it was taken, by what, a smaller picture of the whole before it was cut and
 * whatever is appended are left away. Published: ITU-T T.81 (1992), annex B, for the segments; JFIF 1.02 (1992) for the first of them.
 */
final readonly class PlainJpeg
{
    /** Longer sides nobody needs, pixels. */
    public const MOST_PIXELS = 4_000;

    private const START = 0xD8;

    private const END = 0xD9;

    private const SCAN = 0xDA;

    /** Frames, Huffman and arithmetic tables, quantisation, restart interval, number of lines. */
    private const OF_THE_PICTURE = [0xC0, 0xC1, 0xC2, 0xC3, 0xC4, 0xC5, 0xC6, 0xC7, 0xC9, 0xCA, 0xCB, 0xCC, 0xCD, 0xCE, 0xCF, 0xDB, 0xDC, 0xDD];

    /** Those of them that say how large it is. */
    private const NO_FRAME = [0xC4, 0xCC, 0xDB, 0xDC, 0xDD];

    private const JFIF = 0xE0;

    /** Says how colours are meant; nothing of who took the picture. */
    private const ADOBE = 0xEE;

    private function __construct(public string $bytes, public int $width, public int $height)
    {
    }

    /** Null where it is no JPEG from beginning to end, or larger than anybody needs. */
    public static function of(string $bytes): ?self
    {
        if (! str_starts_with($bytes, "\xFF\xD8\xFF")) {
            return null;
        }
        $kept = "\xFF".chr(self::START);
        $size = null;
        $at = 2;
        while (true) {
            // Any number of 0xFF may come before a marker.
            $at += strspn($bytes, "\xFF", $at);
            $marker = ord($bytes[$at] ?? "\x00");
            if ($bytes[$at - 1] !== "\xFF" || $marker === 0) {
                return null;
            }
            $at++;
            if ($marker === self::END) {
                return $size === null || ! str_contains($kept, "\xFF".chr(self::SCAN)) ? null : new self($kept."\xFF".chr(self::END), ...$size);
            }
            $long = strlen($bytes) < $at + 2 ? 0 : (ord($bytes[$at]) << 8 | ord($bytes[$at + 1]));
            $segment = substr($bytes, $at, $long);
            if ($long < 2 || strlen($segment) < $long) {
                return null;
            }
            $at += $long;
            if ($marker === self::SCAN) {
                $long = self::entropyCoded($bytes, $at);
                $kept .= "\xFF".chr($marker).$segment.substr($bytes, $at, $long);
                $at += $long;
            } elseif (in_array($marker, self::OF_THE_PICTURE, true)) {
                if (! in_array($marker, self::NO_FRAME, true)) {
                    $size = self::size($segment);
                    if ($size === null) {
                        return null;
                    }
                }
                $kept .= "\xFF".chr($marker).$segment;
            } elseif ($marker === self::ADOBE && $long === 14 && str_starts_with(substr($segment, 2), 'Adobe')) {
                $kept .= "\xFF".chr($marker).$segment;
            } elseif ($marker === self::JFIF && $long >= 16 && str_starts_with(substr($segment, 2), "JFIF\x00")) {
                // Without its small picture.
                $kept .= "\xFF".chr($marker)."\x00\x10".substr($segment, 2, 12)."\x00\x00";
            }
        }
    }

    /** How many bytes of a scan follow: up to the next marker that is neither a stuffed zero nor a restart. */
    private static function entropyCoded(string $bytes, int $from): int
    {
        $at = strpos($bytes, "\xFF", $from);
        while ($at !== false) {
            $next = ord($bytes[$at + 1] ?? "\x00");
            if ($next !== 0 && ($next < 0xD0 || $next > 0xD7)) {
                return $at - $from;
            }
            $at = strpos($bytes, "\xFF", min(strlen($bytes), $at + 2));
        }

        return strlen($bytes) - $from;
    }

    /** @return ?array{int, int} width and height of a frame; null where there is none, or too much */
    private static function size(string $segment): ?array
    {
        if (strlen($segment) < 8) {
            return null;
        }
        ['height' => $height, 'width' => $width] = (array) unpack('nlong/Cbits/nheight/nwidth', $segment);

        return min($width, $height) < 1 || max($width, $height) > self::MOST_PIXELS ? null : [(int) $width, (int) $height];
    }
}
