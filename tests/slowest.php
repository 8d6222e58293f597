<?php

declare(strict_types=1);

// Prints the ten tests that took most of the processor, and fails where one takes more than a twentieth of what all took
// together: such a test is parted into data sets. A share, as machines differ: it is 17 s where all take 340 s. The argument
// is the file that Tests\ProcessorTime has written.

const MOST_SHARE = 0.05;

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
$most = MOST_SHARE * array_sum($seconds);
printf("The ten slowest tests, by the processor: %.0f s together\n", array_sum($seconds));
foreach (array_slice($seconds, 0, 10) as $name => $took) {
    printf("%6.1f s  %s\n", $took, $name);
}
$late = count(array_filter($seconds, static fn(float $s): bool => $s > $most));
if ($late > 0) {
    fprintf(STDERR, "%d of them over %.1f s, a twentieth of that: part them into data sets.\n", $late, $most);
    exit(1);
}
