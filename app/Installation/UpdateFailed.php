<?php

namespace App\Installation;

use RuntimeException;

final class UpdateFailed extends RuntimeException
{
}
