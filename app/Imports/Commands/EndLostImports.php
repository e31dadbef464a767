<?php

declare(strict_types=1);

namespace App\Imports\Commands;

use App\Imports\Models\Import;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Database\Eloquent\Builder;

/** Tells imports whose worker was killed as broken off. Should their process go on by itself, it writes nothing any more. */
final class EndLostImports extends Command
{
    private const SECONDS = 60;

    protected $signature = 'imports:end-lost';

    protected $description = 'End the imports whose worker has not been seen for a minute.';

    public function handle(): int
    {
        $lost = Import::query()
            ->whereIn('state', ['checking', 'writing'])
            ->where(
                static fn(Builder $one): Builder => $one
                    ->whereNull('seen_at')
                    ->orWhere('seen_at', '<', CarbonImmutable::now()->subSeconds(self::SECONDS)),
            )
            ->update([
                'state' => 'failed',
                'outcome' => 'Its worker ended before it did; nothing of it was saved. Import the file again.',
                'ended_at' => CarbonImmutable::now(),
            ]);
        $this->info("{$lost} imports ended.");

        return self::SUCCESS;
    }
}
