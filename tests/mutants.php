<?php

declare(strict_types=1);

/**
 * Small damages to rules, each with the one test that must fail: file below core/src, search text (unique there), replacement, the test below
 * core/tests. bin/mutants tries them.
 *
 * @var list<array{string, string, string, string}> $damages
 */
$damages = [];
foreach (['checks', 'core'] as $of) {
    /** @var list<non-empty-list<mixed>> $files */
    $files = require __DIR__ . "/mutants/{$of}.php";
    foreach ($files as $file) {
        foreach (array_slice($file, 1) as $damage) {
            $damages[] = [$file[0], ...array_pad((array) $damage, 3, 'Checks/RegistryTest.php')];
        }
    }
}

return $damages;
