<?php

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    // A teaching day without signing in again; the browser keeps the cookie when the tablet sleeps.
    'lifetime' => 60 * 14,
    // However often it is used: after so many days it has to be begun anew (assumed).
    'ends_after_days' => (int) env('NOBLE_TURN_SESSION_DAYS', 30),
    'expire_on_close' => false,
    'encrypt' => true,
    'table' => 'sessions',
    'connection' => null,
    'lottery' => [2, 100],
    'cookie' => 'noble_turn_session',
    'path' => '/',
    'domain' => null,
    // Where people come by HTTPS the cookie goes by nothing else.
    'secure' => str_starts_with((string) env('APP_URL', ''), 'https://'),
    'http_only' => true,
    'same_site' => 'lax',
];
