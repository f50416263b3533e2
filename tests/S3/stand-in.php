<?php

declare(strict_types=1);

/**
 * A server that speaks as much of the S3 protocol as Harmozon asks for, for tests: one bucket in a folder.
 *   S3_FOLDER=DIR S3_KEY=NAME php -S 127.0.0.1:PORT tests/S3/stand-in.php
 */
$folder = (string) getenv('S3_FOLDER');
$headers = array_change_key_case(getallheaders());
[$bucket, $key] = explode('/', ltrim(rawurldecode((string) strtok((string) $_SERVER['REQUEST_URI'], '?')), '/'), 2) + [1 => ''];
$body = (string) file_get_contents('php://input');

/** @return never */
function answer(int $status, string $xml = '', array $headers = []): void
{
    http_response_code($status);
    foreach ($headers as $name => $value) {
        header("{$name}: {$value}");
    }
    if ($xml !== '') {
        header('Content-Type: application/xml');
        echo '<?xml version="1.0" encoding="UTF-8"?>', $xml;
    }
    exit;
}
$refuse = static fn (int $status, string $code) => answer($status, "<Error><Code>{$code}</Code><Message>{$code}</Message></Error>");

// Who asks signs with a key, over the body that came.
if (! str_contains($headers['authorization'] ?? '', 'Credential='.getenv('S3_KEY').'/')) {
    $refuse(403, 'AccessDenied');
}
$sum = $headers['x-amz-content-sha256'] ?? '';
if (preg_match('/^[0-9a-f]{64}$/', $sum) === 1 && hash('sha256', $body) !== $sum) {
    $refuse(400, 'XAmzContentSHA256Mismatch');
}
if (str_contains($key, '..')) {
    $refuse(400, 'InvalidArgument');
}
$path = "{$folder}/{$bucket}/{$key}";
$all = static function () use ($folder, $bucket): array {
    $found = [];
    $root = "{$folder}/{$bucket}/";
    foreach (is_dir($root) ? new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) : [] as $file) {
        $found[] = substr($file->getPathname(), strlen($root));
    }
    sort($found);

    return $found;
};
$told = static fn (string $file): array => [
    'Content-Length' => (string) filesize($file), 'ETag' => '"'.md5_file($file).'"', 'Last-Modified' => gmdate('D, d M Y H:i:s', (int) filemtime($file)).' GMT', 'Content-Type' => 'application/octet-stream',
];
parse_str((string) ($_SERVER['QUERY_STRING'] ?? ''), $query);
switch ($_SERVER['REQUEST_METHOD']) {
    case 'PUT':
        is_dir(dirname($path)) || mkdir(dirname($path), 0o700, true);
        // Whole or not at all, as one is used to of such a server.
        file_put_contents("{$path}.new", $body);
        rename("{$path}.new", $path);
        answer(200, '', ['ETag' => '"'.md5($body).'"']);
    case 'HEAD':
        is_file($path) ? answer(200, '', $told($path)) : answer(404);
    case 'GET':
        if ($key !== '') {
            if (! is_file($path)) {
                $refuse(404, 'NoSuchKey');
            }
            foreach ($told($path) as $name => $value) {
                header("{$name}: {$value}");
            }
            readfile($path);
            exit;
        }
        $prefix = (string) ($query['prefix'] ?? '');
        $delimiter = (string) ($query['delimiter'] ?? '');
        $contents = $prefixes = '';
        foreach ($all() as $name) {
            if (! str_starts_with($name, $prefix)) {
                continue;
            }
            $rest = substr($name, strlen($prefix));
            if ($delimiter !== '' && str_contains($rest, $delimiter)) {
                $common = $prefix.strtok($rest, $delimiter).$delimiter;
                $line = '<CommonPrefixes><Prefix>'.htmlspecialchars($common).'</Prefix></CommonPrefixes>';
                $prefixes .= str_contains($prefixes, $line) ? '' : $line;

                continue;
            }
            $file = "{$folder}/{$bucket}/{$name}";
            $contents .= '<Contents><Key>'.htmlspecialchars($name).'</Key><LastModified>'.gmdate('Y-m-d\TH:i:s.000\Z', (int) filemtime($file)).'</LastModified><Size>'.filesize($file).'</Size></Contents>';
        }
        answer(200, "<ListBucketResult><Name>{$bucket}</Name><IsTruncated>false</IsTruncated>{$contents}{$prefixes}</ListBucketResult>");
    case 'DELETE':
        @unlink($path);
        answer(204);
    case 'POST':
        preg_match_all('#<Key>([^<]+)</Key>#', $body, $keys);
        foreach ($keys[1] as $name) {
            @unlink("{$folder}/{$bucket}/".htmlspecialchars_decode($name));
        }
        answer(200, '<DeleteResult></DeleteResult>');
    default:
        $refuse(405, 'MethodNotAllowed');
}
