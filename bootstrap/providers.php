<?php

declare(strict_types=1);

use App\Providers\AppServiceProvider;

// An area of app/ that others rely on from below says so in a provider of its own.
$areas = array_map(
    static fn(string $path): string => 'App\\' . basename(dirname($path)) . '\\Provider',
    glob(dirname(__DIR__) . '/app/*/Provider.php') ?: [],
);

return [AppServiceProvider::class, ...$areas];
