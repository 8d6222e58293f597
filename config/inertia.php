<?php

// Only what differs from the package's own settings: where the pages are, which tests look up.
return [
    'testing' => [
        'ensure_pages_exist' => true,
        'page_paths' => [resource_path('js/pages')],
        'page_extensions' => ['vue'],
    ],
];
