<?php

namespace App\School;

use Illuminate\Support\Facades\Cache;
use NobleTurn\Core\Compute\Toolbox;

/**
 * What takes longer to compute than to remember, and depends on nothing but the rules in force: kept in the server's own memory, which
 * forgets it when it starts anew, and computed each time where there is none.
 */
final class ServersMemory
{
    private const SECONDS = 3_600;

    /**
     * @param  callable(): mixed  $compute  what JSON can hold
     * @return mixed as JSON gives it back, objects as objects
     */
    public static function of(string $what, ChosenRules $chosen, callable $compute): mixed
    {
        $pack = $chosen->pack();
        $answers = $chosen->answers;
        ksort($answers);
        $name = "{$what} ".hash('sha256', json_encode([Toolbox::VERSION, $pack->code(), $pack->version(), $answers], JSON_THROW_ON_ERROR));
        // As text: memory gives back no objects.
        $write = static fn (): string => json_encode($compute(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
        $text = function_exists('apcu_enabled') && apcu_enabled() ? Cache::store('apc')->remember($name, self::SECONDS, $write) : $write();

        return json_decode($text, flags: JSON_THROW_ON_ERROR);
    }
}
