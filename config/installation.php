<?php

return [
    // Where this installation writes what was there before an update.
    'keep' => env('NOBLE_TURN_KEEP', storage_path('backups')),
];
