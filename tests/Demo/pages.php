<?php

declare(strict_types=1);

/* Prints the pages of a kind of record as JSON. A process of its own, since the tests that drive the browser boot no application. */

use Illuminate\Contracts\Console\Kernel;
use Tests\Demo\Records;

require dirname(__DIR__, 2) . '/vendor/autoload.php';
$app = require dirname(__DIR__, 2) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
echo json_encode((new Records())->pages($argv[1] ?? 'others'), JSON_THROW_ON_ERROR);
