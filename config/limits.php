<?php

// What one person and one address may ask for. All assumed: a day's lessons of a school of thirty stay far below.
return [
    // Of the server's work for one person within a minute, ms.
    'compute_ms' => (int) env('NOBLE_TURN_COMPUTE_MS', 30_000),
    'sync_ms' => (int) env('NOBLE_TURN_SYNC_MS', 60_000),
    // Calendars of one address ask so often in a minute; whoever guesses addresses asks far more.
    'calendar' => (int) env('NOBLE_TURN_CALENDARS', 30),
    // Tries to sign in: a minute of one device that has signed in to the account before; of an account from one address; of one address.
    'known_device' => 6,
    'account_and_address' => 6,
    'address' => 30,
    // And of an account from devices it does not know, wherever they are, within a quarter of an hour.
    'account' => 30,
];
