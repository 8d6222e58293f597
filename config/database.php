<?php

// Only what differs from the framework's own settings.
return [
    'default' => 'sqlite',
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', database_path('database.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            'busy_timeout' => 20000,
            'journal_mode' => 'WAL',
            'synchronous' => 'FULL',
        ],
    ],
];
