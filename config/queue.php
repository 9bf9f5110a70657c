<?php

// Long work waits in the database; the start command runs one worker.
return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => ['driver' => 'database', 'connection' => null, 'table' => 'jobs', 'queue' => 'default', 'retry_after' => 600, 'after_commit' => true],
    ],
    'batching' => ['database' => null, 'table' => 'job_batches'],
    'failed' => ['driver' => null],
];
