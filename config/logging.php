<?php

use App\Logging\BoundedFile;
use Monolog\Formatter\JsonFormatter;

return [
    'default' => 'stack',
    'channels' => [
        // What cannot be written (a full disk, a file of somebody else's) is lost, and the answer is what it would have been.
        'stack' => ['driver' => 'stack', 'channels' => ['file'], 'ignore_exceptions' => true],
        // Requests, inputs and people are not logged; exceptions come with class, place and stack, without arguments.
        'file' => [
            'driver' => 'monolog',
            'handler' => BoundedFile::class,
            'handler_with' => ['stream' => env('NOBLE_TURN_LOG', storage_path('logs/noble-turn.log'))],
            'level' => env('LOG_LEVEL', 'warning'),
            // One line an entry, whatever a text in it holds: nobody writes a line of their own into the log.
            'formatter' => JsonFormatter::class,
            'formatter_with' => ['includeStacktraces' => true, 'ignoreEmptyContextAndExtra' => true],
        ],
        'emergency' => ['path' => storage_path('logs/noble-turn.log')],
    ],
];
