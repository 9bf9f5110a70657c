<?php

use Monolog\Formatter\JsonFormatter;

return [
    'default' => 'daily',
    'channels' => [
        // Requests, inputs and people are not logged; exceptions come with class, place and stack, without arguments.
        'daily' => [
            'driver' => 'daily',
            'path' => env('NOBLE_TURN_LOG', storage_path('logs/noble-turn.log')),
            'level' => env('LOG_LEVEL', 'warning'),
            'days' => 14,
            // One line an entry, whatever a text in it holds: nobody writes a line of their own into the log.
            'formatter' => JsonFormatter::class,
            'formatter_with' => ['includeStacktraces' => true, 'ignoreEmptyContextAndExtra' => true],
        ],
        'emergency' => ['path' => storage_path('logs/noble-turn.log')],
    ],
];
