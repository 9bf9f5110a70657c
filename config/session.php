<?php

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    // A teaching day without signing in again; the browser keeps the cookie when the tablet sleeps.
    'lifetime' => 60 * 14,
    'expire_on_close' => false,
    'encrypt' => true,
    'table' => 'sessions',
    'connection' => null,
    'lottery' => [2, 100],
    'cookie' => 'noble_turn_session',
    'path' => '/',
    'domain' => null,
    'secure' => (bool) env('SESSION_SECURE_COOKIE', false),
    'http_only' => true,
    'same_site' => 'lax',
];
