<?php

declare(strict_types=1);

namespace App\Imports\Commands;

use App\Imports\ImportRun;
use App\Imports\Models\Import;
use Illuminate\Console\Command;

/** Started by the worker for each import; see Confined. */
final class RunOne extends Command
{
    protected $signature = 'imports:run {import}';

    protected $description = 'Check one import, and write it when nothing is wrong.';

    protected $hidden = true;

    public function handle(ImportRun $run): int
    {
        $run(Import::query()->where('id', $this->argument('import'))->with('person')->firstOrFail());

        return self::SUCCESS;
    }
}
