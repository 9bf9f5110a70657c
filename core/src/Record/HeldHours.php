<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

use NobleTurn\Core\Quantity\HoursAndMinutes;
use NobleTurn\Core\Rules\AskedByLaw;

/** What a law asks for, and how much of it there is. */
final readonly class HeldHours
{
    public float $toGo;

    /** @param  float  $have  minutes, or lessons */
    public function __construct(public AskedByLaw $asked, public float $have)
    {
        $this->toGo = max(0.0, $asked->wanted - $have);
    }

    /** What is left is said in whole minutes: less than half of one is none. */
    public function isMet(): bool
    {
        return round($this->toGo) <= 0.0;
    }

    public function message(): string
    {
        $have = "{$this->said($this->have)} of {$this->said($this->asked->wanted)}".($this->asked->lessonMinutes === null ? '' : ' lessons');
        $rest = $this->isMet() ? 'that is enough' : "{$this->said($this->toGo)} to go";

        return "{$have}: {$rest}.".($this->asked->beside === null ? '' : " {$this->asked->beside}");
    }

    private function said(float $figure): string
    {
        $whole = (int) round($figure);

        return $this->asked->lessonMinutes === null ? HoursAndMinutes::words($whole) : (string) $whole;
    }
}
