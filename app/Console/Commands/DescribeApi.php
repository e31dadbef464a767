<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\ApiDescription;
use Illuminate\Console\Command;

final class DescribeApi extends Command
{
    protected $signature = 'api:describe {--check : only say whether docs/openapi.json is up to date}';

    protected $description = 'Write docs/openapi.json from the code.';

    public function handle(ApiDescription $description): int
    {
        $path = base_path('docs/openapi.json');
        $json = $description->json();
        if (!$this->option('check')) {
            file_put_contents($path, $json);
        } elseif (!is_file($path) || file_get_contents($path) !== $json) {
            $this->error('docs/openapi.json is out of date. Run bin/api.');

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
