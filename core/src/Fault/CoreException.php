<?php

declare(strict_types=1);

namespace NobleTurn\Core\Fault;

/** Marks every exception this core throws on purpose; anything else that escapes is a bug. */
interface CoreException extends \Throwable
{
}
