<?php

declare(strict_types=1);

// Prints the ten slowest tests of JUnit logs, and fails where one takes more than 20 s: such a test is parted into data sets.
//   php tests/slowest.php core.xml browser.xml

const MOST_SECONDS = 20.0;

$seconds = [];
foreach (array_slice($argv, 1) as $file) {
    $log = simplexml_load_file($file);
    if ($log === false) {
        fwrite(STDERR, "{$file} is no log.\n");
        exit(1);
    }
    foreach ($log->xpath('//testcase') ?: [] as $case) {
        $seconds["{$case['class']}::{$case['name']}"] = (float) $case['time'];
    }
}
arsort($seconds);
echo "The ten slowest tests\n";
foreach (array_slice($seconds, 0, 10) as $name => $took) {
    printf("%6.1f s  %s\n", $took, $name);
}
$late = array_filter($seconds, static fn(float $s): bool => $s > MOST_SECONDS);
if ($seconds === [] || $late !== []) {
    fwrite(
        STDERR,
        $seconds === [] ? "No test left a time.\n" : count($late) . " of them over 20 s: part them into data sets.\n",
    );
    exit(1);
}
