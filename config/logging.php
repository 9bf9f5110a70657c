<?php

use Monolog\Formatter\LineFormatter;

return [
    'default' => 'daily',
    'channels' => [
        // Requests, inputs and people are not logged; exceptions come with class, place and stack, without arguments.
        'daily' => [
            'driver' => 'daily',
            'path' => env('NOBLE_TURN_LOG', storage_path('logs/noble-turn.log')),
            'level' => env('LOG_LEVEL', 'warning'),
            'days' => 14,
            'formatter' => LineFormatter::class,
            'formatter_with' => ['includeStacktraces' => true, 'ignoreEmptyContextAndExtra' => true],
        ],
        'emergency' => ['path' => storage_path('logs/noble-turn.log')],
    ],
];
