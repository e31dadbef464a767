<?php

declare(strict_types=1);

namespace App\Structures\Commands;

use App\Structures\Index\BuildIndex;
use App\Structures\Index\DamagedIndex;
use App\Structures\Index\IndexFolder;
use App\Structures\StructureView;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** Writes the structure index of this machine anew: always, or only where it has fallen behind. */
final class IndexStructures extends Command
{
    /** So many changed items read from the database for every question are more than a question should cost. */
    private const MOST_TOUCHED = 300;

    private const OLDEST_DAYS = 7;

    private const KEPT_DAYS = 30;

    protected $signature = 'structures:index {--when-behind : Only where many items have changed since, or the index is older than a week}';

    protected $description = 'Writes the lists from which structures are exploded, compared and searched upward on this machine';

    public function handle(BuildIndex $build): int
    {
        foreach (StructureView::all() as $view) {
            if ($this->option('when-behind') === true && !$this->isBehind($view)) {
                continue;
            }
            $started = microtime(true);
            // Two builders on one machine would do the same work twice.
            $lines = Cache::lock('structures:index ' . gethostname() . ' ' . $view->name(), 600)->block(
                300,
                static fn(): int => $build($view),
            );
            $this->line(sprintf('%s: %d lines in %.1f s', $view->name(), $lines, microtime(true) - $started));
        }
        DB::delete('DELETE FROM structure_touches WHERE at < now() - make_interval(days => ?)', [self::KEPT_DAYS]);

        return self::SUCCESS;
    }

    private function isBehind(StructureView $view): bool
    {
        $folder = new IndexFolder($view);
        $path = $folder->offered() ?? $folder->current();
        if ($path === null) {
            return true;
        }
        try {
            /** @var array{database: string, built_at: int, known: int} $manifest */
            $manifest = DamagedIndex::guard($path, IndexFolder::MANIFEST);
        } catch (DamagedIndex) {
            return true;
        }

        return $manifest['database'] !== BuildIndex::database() ||
            $manifest['built_at'] < time() - self::OLDEST_DAYS * 86_400 ||
            DB::scalar('SELECT count(DISTINCT item_id) FROM structure_touches WHERE xact >= ?', [$manifest['known']]) > self::MOST_TOUCHED;
    }
}
