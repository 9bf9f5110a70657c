<?php

namespace App\Telling;

use App\Models\School;
use DateTimeZone;
use NobleTurn\Core\Diary\Telling;
use NobleTurn\Core\Diary\TextKind;

/** What a school tells its learners by text, in which words, and when. Nothing where nobody has said so. */
final readonly class TextSettings
{
    /** When nobody is written to, and when one is reminded (assumed). */
    private const TIMES = ['quiet_from' => '21:00', 'quiet_until' => '08:00', 'reminds_at' => '17:00'];

    /**
     * @param  array<string, ?string>  $words  by kind; null where nobody is told of it
     */
    private function __construct(public bool $isOn, public string $quietFrom, public string $quietUntil, public string $remindsAt, public array $words)
    {
    }

    public static function of(School $school): self
    {
        $said = $school->texts ?? [];
        $times = array_intersect_key($said, self::TIMES) + self::TIMES;
        $words = [];
        foreach (TextKind::cases() as $kind) {
            $words[$kind->value] = array_key_exists($kind->value, $said['words'] ?? []) ? $said['words'][$kind->value] : TextWords::usual($kind);
        }

        return new self($school->texts !== null && ($said['on'] ?? false), $times['quiet_from'], $times['quiet_until'], $times['reminds_at'], $words);
    }

    public function telling(string $zone): Telling
    {
        return new Telling(new DateTimeZone($zone), $this->quietFrom, $this->quietUntil, $this->remindsAt);
    }

    /** @return array{on: bool, quiet_from: string, quiet_until: string, reminds_at: string, words: array<string, ?string>} as it is answered and kept */
    public function told(): array
    {
        return [
            'on' => $this->isOn, 'quiet_from' => $this->quietFrom, 'quiet_until' => $this->quietUntil, 'reminds_at' => $this->remindsAt,
            'words' => $this->words,
        ];
    }
}
