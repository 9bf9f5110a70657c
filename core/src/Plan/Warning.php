<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

/** Something the user should know that breaks no rule. */
final readonly class Warning
{
    /** @param  array<string, float|string|bool|null>  $data */
    public function __construct(public string $code, public string $message, public array $data = [])
    {
    }

    /** Marks that lie after the day of the record. */
    public static function future(int $marks): self
    {
        return new self('future-marks', "{$marks} ".($marks === 1 ? 'mark lies' : 'marks lie').' after today and says nothing yet.');
    }
}
