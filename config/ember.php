<?php

return [
    // In demo mode the sign-in page lets the demo user in with one press.
    'demo' => (bool) env('EMBER_DEMO', false),
    'demo_email' => 'demo@ember-dusk.example',
];
