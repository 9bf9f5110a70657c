<?php

return [
    // The form in which the server speaks, in a few letters: a page of another version knows by it that it is one.
    'contract' => substr((string) hash_file('sha256', base_path('docs/openapi.json')), 0, 12),
    // Where this installation writes what was there before an update.
    'keep' => env('NOBLE_TURN_KEEP', storage_path('backups')),
];
