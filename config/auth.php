<?php

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'passwords'],
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'users']],
    'providers' => ['users' => ['driver' => 'eloquent', 'model' => App\Models\User::class]],
    // How long a way in stands open, minutes (assumed); not asked for again within ten minutes: nobody makes another's letter useless by asking on and on.
    'passwords' => [
        'passwords' => ['provider' => 'users', 'table' => 'password_reset_tokens', 'expire' => 60, 'throttle' => 600],
        'invitations' => ['provider' => 'users', 'table' => 'password_reset_tokens', 'expire' => 7 * 24 * 60, 'throttle' => 0],
    ],
    'password_timeout' => 10800,
];
