<?php

return [
    'name' => 'Noble Turn',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8080'),
    // Scripts and styles are named from the root, whatever name the browser came by.
    'asset_url' => '/',
    // Moments are kept in UTC; a school has its own time zone.
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
    'maintenance' => ['driver' => 'file'],
];
