@include('errors.page', [
    'title' => 'The server has failed at this',
    'what' => 'What was kept before stands. Try again; if it fails again, the log under storage/logs says why.',
])
