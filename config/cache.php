<?php

return [
    'default' => env('CACHE_STORE', 'database'),
    // Counted in the memory that the PHP workers share, where there is such; tests count in their own.
    'limiter' => env('CACHE_LIMITER', extension_loaded('apcu') ? 'apc' : 'database'),
    // Where whole answers are kept: null where the PHP workers share memory there, else nowhere.
    'kept' => env('CACHE_KEPT'),
    'stores' => [
        'apc' => ['driver' => 'apc'],
        'array' => ['driver' => 'array', 'serialize' => false],
        'database' => ['driver' => 'database', 'connection' => null, 'table' => 'cache', 'lock_table' => 'cache_locks'],
    ],
    'prefix' => 'noble_turn_',
];
