@include('errors.page', [
    'title' => 'Server error',
    'what' => 'Everything saved before is safe. Try again; if it fails again, see the log under storage/logs.',
])
