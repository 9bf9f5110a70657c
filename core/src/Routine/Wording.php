<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Side;

/**
 * Turns a text of the catalogue into the words of a place: `{turn}`, `{away}`, `{near}`, `{off}` are sides, `{m:10}` and
 * `{mph:20}` quantities in the units spoken there, `[with a clutch|without]` what hangs on the car, `{marker:1}` the first post
 * before a way off, `{and shoulder}` what a pack adds to the mirrors of a turn, and any other word in braces the pack's own word
 * for it, or itself.
 */
final readonly class Wording
{
    public function __construct(private RulePack $pack, private ?Side $turn)
    {
    }

    /** A text about no turn in the words of a place, as a sentence. */
    public static function in(RulePack $pack, string $text): string
    {
        return (new self($pack, null))->say($text);
    }

    /** The same as part of a sentence: it begins as it is written. */
    public static function part(RulePack $pack, string $text): string
    {
        return (new self($pack, null))->words($text);
    }

    /** `[what is said of a car with a clutch|what of another]`: no clutch and no gear where there is none to work. */
    public static function forCar(string $text, bool $hasClutch): string
    {
        return trim(preg_replace_callback('/\[([^|\]]*)\|([^\]]*)\]/', static fn (array $found): string => $found[$hasClutch ? 1 : 2], $text) ?? $text);
    }

    public function say(string $text): string
    {
        return ucfirst($this->words($text));
    }

    private function words(string $text): string
    {
        if (strpbrk($text, '{[') === false) {
            return trim($text);
        }

        return preg_replace_callback('/\{([^{}]+)\}/', fn (array $found): string => $this->word($found[1]), self::forCar($text, true)) ?? $text;
    }

    private function word(string $name): string
    {
        $near = $this->pack->keeps();
        if (str_starts_with($name, 'm:')) {
            return $this->pack->lengthUnit()->words(Distance::ofMetres((float) substr($name, 2)));
        }
        if (str_starts_with($name, 'mph:')) {
            return $this->pack->speedUnit()->words(Speed::ofMilesPerHour((float) substr($name, 4)));
        }

        if (str_starts_with($name, 'marker:')) {
            return $this->pack->exitSigns()->markerInWords((int) substr($name, 7));
        }

        return match ($name) {
            'turn' => ($this->turn ?? $near)->value,
            'away' => ($this->turn ?? $near)->other()->value,
            'near' => $near->value,
            'off' => $near->other()->value,
            'lane by' => $this->pack->exitSigns()->laneByInWords,
            'and shoulder' => $this->pack->looksOverTheShoulderBeforeTurns() ? " and {$this->word('turn')} shoulder" : '',
            default => $this->pack->words()[$name] ?? (ctype_upper($name[0]) ? ucfirst($this->own(lcfirst($name))) : $this->own($name)),
        };
    }

    private function own(string $word): string
    {
        return match ($word) {
            'near', 'off', 'turn', 'away' => $this->word($word),
            default => $this->pack->words()[$word] ?? $word,
        };
    }
}
