<?php

// Argon2id reads every byte of a password; figures as recommended by OWASP (from memory): 19 MiB, two passes, one lane.
return [
    'driver' => 'argon2id',
    'argon' => [
        'memory' => (int) env('ARGON_MEMORY', 19456),
        'time' => 2,
        'threads' => 1,
        // Passwords of before are checked by the way they were kept in, and kept anew at the next sign-in.
        'verify' => false,
    ],
    'rehash_on_login' => true,
];
