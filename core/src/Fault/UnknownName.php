<?php

declare(strict_types=1);

namespace NobleTurn\Core\Fault;

/** A pack, vehicle, routine or tool was asked for by a name that none has. */
final class UnknownName extends \OutOfBoundsException implements CoreException
{
    /** @param  list<string>  $known */
    public static function among(string $kind, string $name, array $known): self
    {
        return new self(sprintf('There is no %s "%s"; known: %s.', $kind, $name, implode(', ', $known)));
    }
}
