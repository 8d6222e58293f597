<?php

// Only what differs from the package's own settings: a page is in its stage's folder, which a test of ours looks up.
return [
    'ssr' => ['enabled' => false],
    'testing' => [
        'ensure_pages_exist' => false,
        'page_paths' => [],
        'page_extensions' => ['vue'],
    ],
];
