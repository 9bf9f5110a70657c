<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Side;

/**
 * Turns a text of the catalogue into the words of a place: `{turn}`, `{away}`, `{near}`, `{off}` are sides, `{m:10}` and
 * `{mph:20}` quantities in the units spoken there, and any other word in braces the pack's own word for it, or itself.
 */
final readonly class Wording
{
    public function __construct(private RulePack $pack, private ?Side $turn)
    {
    }

    public function say(string $text): string
    {
        return ucfirst(preg_replace_callback('/\{([^{}]+)\}/', fn (array $found): string => $this->word($found[1]), $text) ?? $text);
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

        return match ($name) {
            'turn' => ($this->turn ?? $near)->value,
            'away' => ($this->turn ?? $near)->other()->value,
            'near' => $near->value,
            'off' => $near->other()->value,
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
