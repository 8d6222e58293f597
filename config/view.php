<?php

use App\Version;

// Only what differs from the framework's own settings: each version has compiled pages of its own, also after an upgrade and on the way back.
return [
    'compiled' => storage_path('framework/views/' . Version::text()),
];
