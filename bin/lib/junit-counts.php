<?php

declare(strict_types=1);

// Prints "passed failed skipped" of a JUnit report.

$report = @simplexml_load_file($argv[1] ?? '');
if ($report === false) {
    exit(1);
}
$passed = $failed = $skipped = 0;
foreach ($report->xpath('//testcase') ?: [] as $case) {
    match (true) {
        isset($case->failure) || isset($case->error) => $failed++,
        isset($case->skipped) => $skipped++,
        default => $passed++,
    };
}
echo "{$passed} {$failed} {$skipped}\n";
