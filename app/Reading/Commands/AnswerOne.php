<?php

declare(strict_types=1);

namespace App\Reading\Commands;

use App\Reading\AnswerReading;
use App\Reading\Reading;
use Illuminate\Console\Command;

/** Started by the worker for each file that somebody brought; see Confined. */
final class AnswerOne extends Command
{
    protected $signature = 'readings:answer {reading}';

    protected $description = 'Read the file that one request brought, and answer it.';

    protected $hidden = true;

    public function handle(AnswerReading $answer): int
    {
        $answer(Reading::query()->with('person')->where('id', $this->argument('reading'))->firstOrFail());

        return self::SUCCESS;
    }
}
