<?php

declare(strict_types=1);

// Reads a JUnit report:  php build/junit.php count REPORT      "passed failed"
//                        php build/junit.php findings REPORT   each test that failed, with what it said

[, $wanted, $report] = $argv + [1 => '', 2 => ''];
$xml = is_file($report) ? @simplexml_load_file($report) : false;
$tests = $xml === false ? [] : $xml->xpath('//testcase');
$failed = $xml === false ? [] : $xml->xpath('//testcase[failure or error]');

if ($wanted === 'count') {
    $skipped = $xml === false ? [] : $xml->xpath('//testcase[skipped]');
    echo count($tests) - count($failed) - count($skipped), ' ', count($failed), "\n";
    exit;
}
foreach ($failed as $test) {
    echo $test['classname'] ?? $test['class'], ': ', $test['name'], "\n";
    $said = trim((string) ($test->failure[0] ?? $test->error[0]));
    foreach (array_slice(explode("\n", preg_replace('/\e\[[0-9;]*m/', '', $said) ?? $said), 0, 12) as $line) {
        echo '  ', $line, "\n";
    }
}
