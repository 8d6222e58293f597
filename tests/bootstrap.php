<?php

declare(strict_types=1);

// EMBER_NOW begins now, for this process and every server, worker and browser that it starts.
if (is_string(getenv('EMBER_NOW')) && getenv('EMBER_NOW') !== '' && getenv('EMBER_NOW_SINCE') === false) {
    // Child processes inherit both.
    $_SERVER['EMBER_NOW_SINCE'] = sprintf('%.6F', microtime(true));
    putenv('EMBER_NOW_SINCE=' . $_SERVER['EMBER_NOW_SINCE']);
}

require __DIR__ . '/../vendor/autoload.php';
