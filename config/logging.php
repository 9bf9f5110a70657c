<?php

use Monolog\Formatter\JsonFormatter;

return [
    'default' => 'stack',
    'channels' => [
        // What cannot be written (a full disk, a file of somebody else's) is lost, and the answer is what it would have been.
        'stack' => ['driver' => 'stack', 'channels' => ['daily'], 'ignore_exceptions' => true],
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
