<?php

declare(strict_types=1);

// Fills a database with a seed:  php tests/seed-database.php migrated|demo FILE

use Tests\Seed;

require dirname(__DIR__).'/vendor/autoload.php';

Seed::from($argv[1] ?? '')->writeTo($argv[2] ?? throw new InvalidArgumentException('which file?'));
