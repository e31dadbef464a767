<?php

declare(strict_types=1);

// What leaves the house for other systems: webhooks, and files of hand-over profiles.

return [
    // Seconds after each try in vain; after the last one it is given up. A weekend without a receiver loses nothing.
    'pauses' => [10, 60, 300, 1_800, 7_200, 21_600, 43_200, 86_400],
    'connect_seconds' => (float) env('OUTGOING_CONNECT_SECONDS', 3),
    'answer_seconds' => (float) env('OUTGOING_ANSWER_SECONDS', 15),
    // Folders that profiles write into are below this one.
    'folder' => env('OUTGOING_FOLDER', storage_path('app/hand-overs')),
    // How long what has arrived is kept to be looked at.
    'keep_days' => (int) env('OUTGOING_KEEP_DAYS', 90),
    // How long an old secret signs too after a new one was made.
    'former_secret_hours' => 24,
];
