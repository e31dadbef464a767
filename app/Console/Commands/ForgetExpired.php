<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Reading\Reading;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/**
 * A cache in the database drops what has expired only when the same is asked for again, which for most of it is never. Answers of
 * readings are kept for a day.
 */
final class ForgetExpired extends Command
{
    /** Nothing works on one file for longer. */
    private const HOURS = 3;

    protected $signature = 'cache:forget-expired';

    protected $description = 'Delete what has expired from the cache in the database.';

    public function handle(): int
    {
        $gone = DB::table('cache')->where('expiration', '<', now()->getTimestamp())->delete();
        $this->info("{$gone} entries forgotten.");
        $old = Reading::query()->where('asked_at', '<', now()->subDay())->get();
        DB::table('stored_files')
            ->whereIn('id', $old->flatMap(static fn(Reading $one): array => array_column($one->files, 'id')))
            ->delete();
        Reading::query()->whereKey($old->modelKeys())->delete();
        self::sweepTemporary();

        return self::SUCCESS;
    }

    /** What a process that was killed left of its temporary files. Those that live are younger. */
    private static function sweepTemporary(): void
    {
        foreach (glob(sys_get_temp_dir() . '/orthotaxis-*') ?: [] as $path) {
            if (!str_ends_with($path, '.sock') && (int) @filemtime($path) < now()->subHours(self::HOURS)->getTimestamp()) {
                is_dir($path) ? File::deleteDirectory($path) : @unlink($path);
            }
        }
    }
}
