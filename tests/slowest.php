<?php

declare(strict_types=1);

// Prints the ten tests that took most of the processor, and fails where one takes more than 20 s: such a test is parted into
// data sets. Its argument is the file that Tests\ProcessorTime has written.

const MOST_SECONDS = 20.0;

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
echo "The ten slowest tests, by the processor\n";
foreach (array_slice($seconds, 0, 10) as $name => $took) {
    printf("%6.1f s  %s\n", $took, $name);
}
$late = array_filter($seconds, static fn(float $s): bool => $s > MOST_SECONDS);
if ($late !== []) {
    fwrite(STDERR, count($late) . " of them over 20 s: part them into data sets.\n");
    exit(1);
}
