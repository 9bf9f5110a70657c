<?php

namespace App\Interchange;

use RuntimeException;

/** Why a file of a receiver cannot be read, as a sentence that follows the field's name. */
final class UnreadableTrack extends RuntimeException
{
}
