<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => [
            'driver' => 'database',
            'table' => 'jobs',
            'queue' => 'default',
            // While a recording is read its job says that it is at work; what follows of ten minutes of sound takes half a minute, on a slow
            // machine a minute and a half. A job that is silent for longer was killed, and is begun anew.
            'retry_after' => (int) env('QUEUE_RETRY_AFTER', 120),
            'after_commit' => true,
        ],
    ],
    'failed' => ['driver' => 'database-uuids', 'database' => env('DB_CONNECTION', 'sqlite'), 'table' => 'failed_jobs'],
];
