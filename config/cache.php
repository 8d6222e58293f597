<?php

// Only what differs from the framework's own settings: results that can be calculated again have a store of their own,
// which is kept small (App\Results\ResultStore).
return [
    'stores' => [
        'results' =>
            env('CACHE_STORE') === 'array'
                ? ['driver' => 'array', 'serialize' => true]
                : ['driver' => 'file', 'path' => storage_path('framework/cache/results')],
    ],
];
