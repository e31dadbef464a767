<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    // Longer than the longest job may take (an import, half an hour): what is still at work is not begun a second time. What a
    // lost worker left of the outbox is queued again by outbox:sweep each minute.
    'connections' => [
        'sync' => ['driver' => 'sync'],
        // Nothing is queued while the demo data is written.
        'null' => ['driver' => 'null'],
        'database' => ['driver' => 'database', 'table' => 'jobs', 'queue' => 'default', 'retry_after' => 2_000, 'after_commit' => false],
        'redis' => [
            'driver' => 'redis',
            'connection' => env('REDIS_QUEUE_CONNECTION', 'default'),
            'queue' => 'default',
            'retry_after' => 2_000,
            'block_for' => null,
            'after_commit' => false,
        ],
    ],
    'failed' => ['driver' => 'database-uuids', 'database' => 'pgsql', 'table' => 'failed_jobs'],
];
