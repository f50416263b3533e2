<?php

/** Who listens on a port of this machine, for a person:  php build/port-holder.php PORT */

declare(strict_types=1);

$port = sprintf(':%04X', (int) ($argv[1] ?? 0));
$sockets = [];
foreach (['/proc/net/tcp', '/proc/net/tcp6'] as $table) {
    foreach (@file($table) ?: [] as $line) {
        $columns = preg_split('/\s+/', trim($line)) ?: [];
        // 0A: listening.
        if (str_ends_with($columns[1] ?? '', $port) && ($columns[3] ?? '') === '0A') {
            $sockets[] = "socket:[{$columns[9]}]";
        }
    }
}
foreach (glob('/proc/[0-9]*/fd/*') ?: [] as $handle) {
    if (in_array(@readlink($handle), $sockets, true)) {
        $process = explode('/', $handle)[2];
        $command = trim(str_replace("\0", ' ', (string) @file_get_contents("/proc/{$process}/cmdline")));
        echo "process {$process} (".mb_strimwidth($command, 0, 60, '…').')';
        exit(0);
    }
}
echo 'another program, of another user';
