<?php

declare(strict_types=1);

// Before any test: each process of PHPUnit has files of its own, away from those of an application that runs here.

require dirname(__DIR__).'/vendor/autoload.php';

$token = getenv('TEST_TOKEN');
$storage = dirname(__DIR__).'/.cache/phpunit-'.($token === false ? 'alone' : $token);
foreach (['app/private', 'framework/cache/data', 'framework/sessions', 'framework/views', 'logs'] as $folder) {
    is_dir("{$storage}/{$folder}") || mkdir("{$storage}/{$folder}", recursive: true);
}
$_ENV['LARAVEL_STORAGE_PATH'] = $storage;
