<?php

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => [
            'driver' => 'database',
            'table' => 'queue',
            'queue' => 'default',
            'retry_after' => 600,
            'after_commit' => false,
        ],
    ],
    // A plan that failed says so itself; nothing is tried again.
    'failed' => ['driver' => 'null'],
];
