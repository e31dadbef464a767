<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\GeneratedData;
use App\Structures\Commands\IndexStructures;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Fills an empty database with a large, generated data set, for measuring. The same parameters always give the same data. */
final class GenerateData extends Command
{
    protected $signature = 'data:generate
        {--items=200000 : how many items}
        {--lines=1000000 : how many engineering structure lines}
        {--levels=12 : how deep structures go}
        {--changes=20000 : how many closed changes}
        {--pair=0 : two more products of so many lines each, alike but for one line in fifty, to be compared}
        {--seed=1 : other seeds give other data}';

    protected $description = 'Fill an empty database with a large generated data set, for measuring only.';

    public function handle(): int
    {
        $size = [];
        foreach (['items' => 50, 'lines' => 1, 'levels' => 2, 'changes' => 0, 'pair' => 0, 'seed' => 0] as $name => $least) {
            $value = filter_var($this->option($name), FILTER_VALIDATE_INT);
            if ($value === false || $value < $least) {
                $this->error("--{$name} is a whole number from {$least} on.");

                return self::INVALID;
            }
            $size[$name] = $value;
        }
        if (DB::table('items')->exists()) {
            $this->error('The database holds items already. Give an empty one: nothing is ever mixed with real data.');

            return self::FAILURE;
        }
        $started = microtime(true);
        DB::transaction(function () use ($size): void {
            $data = new GeneratedData($size['items'], $size['levels'], $size['seed']);
            $data->writeItems();
            $this->info("{$size['items']} items");
            $lines = $data->writeLines($size['lines']);
            $this->info("{$lines} lines on {$size['levels']} levels");
            $data->writePair($size['pair']);
            $data->writeChanges($size['changes']);
            $this->info("{$size['changes']} changes");
        });
        DB::statement('ANALYZE');
        $this->call(IndexStructures::class);
        $this->info(sprintf('Done in %.0f seconds.', microtime(true) - $started));

        return self::SUCCESS;
    }
}
