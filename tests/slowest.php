<?php

declare(strict_types=1);

// Prints the ten tests that took most of the processor, and never fails for them: seconds depend on the machine and its load.
// One that takes over a twentieth of what all take is parted into data sets. The argument is the file that
// Tests\ProcessorTime has written.

$seconds = [];
foreach (file((string) ($argv[1] ?? '')) ?: [] as $line) {
    [$took, $name] = explode("\t", rtrim($line), 2) + ['0', ''];
    $seconds[$name] = max($seconds[$name] ?? 0.0, (float) $took);
}
if ($seconds === []) {
    fwrite(STDERR, "No test left a time.\n");
    exit(1);
}
arsort($seconds);
printf("The ten slowest tests, by the processor: %.0f s together\n", array_sum($seconds));
foreach (array_slice($seconds, 0, 10) as $name => $took) {
    printf("%6.1f s  %s\n", $took, $name);
}
