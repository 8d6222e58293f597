<?php

// Only what differs from the framework's own settings: stored files are not served by address.
return [
    'disks' => [
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false, 'throw' => true],
    ],
];
