<?php

declare(strict_types=1);

return [
    'default' => env('MAIL_MAILER', 'log'),
    'mailers' => [
        'smtp' => [
            'transport' => 'smtp',
            'scheme' => env('MAIL_SCHEME') ?: null,
            'host' => env('MAIL_HOST') ?: '127.0.0.1',
            'port' => (int) env('MAIL_PORT', 25),
            'username' => env('MAIL_USERNAME') ?: null,
            'password' => env('MAIL_PASSWORD') ?: null,
            // Seconds. A server that does not answer holds up one worker, and nobody else.
            'timeout' => 10,
        ],
        'log' => ['transport' => 'log'],
        'array' => ['transport' => 'array'],
    ],
    'from' => ['address' => env('MAIL_FROM_ADDRESS') ?: 'orthotaxis@quillback.example', 'name' => 'Orthotaxis'],
];
