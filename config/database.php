<?php

declare(strict_types=1);

return [
    'default' => env('DB_CONNECTION', 'pgsql'),

    'connections' => [
        'pgsql' => [
            'driver' => 'pgsql',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_DATABASE', 'orthotaxis'),
            'username' => env('DB_USERNAME', 'orthotaxis'),
            'password' => env('DB_PASSWORD', ''),
            'timezone' => env('ORTHOTAXIS_TIME_ZONE', 'UTC'),
            'charset' => 'utf8',
            'prefix' => '',
            'prefix_indexes' => true,
            'search_path' => 'public',
            'sslmode' => env('DB_SSLMODE', 'prefer'),
            // A web worker keeps its connection from one request to the next: signing in to PostgreSQL takes longer than most pages.
            'options' =>
                [
                    // One message for a question and its values, in place of three: no question is asked twice in a request.
                    PDO::PGSQL_ATTR_DISABLE_PREPARES => true,
                ] + (env('DB_PERSISTENT', false) ? [PDO::ATTR_PERSISTENT => true] : []),
        ],
    ],
];
