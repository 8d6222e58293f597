<?php

return [
    // In demo mode the sign-in page lets the demo user in with one press.
    'demo' => (bool) env('EMBER_DEMO', false),
    'demo_email' => 'demo@ember-dusk.example',
    // Where the demo's job files are; tests have some of their own.
    'demo_jobs' => env('EMBER_DEMO_JOBS', database_path('demo')),
    // Where the crew works: its days and hours are those on the paper and in the plan of work.
    'timezone' => env('EMBER_TIMEZONE', 'UTC'),
    // Megabytes of results that are kept so that they need not be calculated again.
    'results_megabytes' => (int) env('EMBER_RESULTS_MB', 64),
    // Addresses of proxies in front of it, whose word on the caller's address and on TLS counts; names by which it is called.
    'proxies' => array_values(array_filter(explode(' ', (string) env('EMBER_PROXIES', '')))),
    'hosts' => array_values(array_filter(explode(' ', (string) env('EMBER_HOSTS', '')))),
    // Free megabytes below which the health page complains; the folder of the daily backups, empty where there are none.
    'disk_megabytes' => (int) env('EMBER_DISK_MB', 500),
    'backups' => env('EMBER_BACKUPS', ''),
    // Honoured in tests only: the moment at which the application believes it began, and when that was.
    'now' => env('EMBER_NOW'),
    'now_since' => env('EMBER_NOW_SINCE'),
];
