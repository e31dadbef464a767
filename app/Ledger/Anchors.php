<?php

declare(strict_types=1);

namespace App\Ledger;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Ledger\Anchor;
use Orthotaxis\Core\Refusal;

/** The file, outside the database and kept beside its backups, in which the state of the ledger is noted. */
final readonly class Anchors
{
    /** Notes what the ledger has come to; nothing where no file is set, or nothing has come since. */
    public function note(): void
    {
        $path = config()->string('ledger.anchors');
        $head = DB::table('ledger_head')->sole();
        if ($path === '' || (int) $head->count === 0) {
            return;
        }
        is_dir(dirname($path)) || mkdir(dirname($path), 0o770, true);
        $file = fopen($path, 'c+b') ?: throw new \RuntimeException("The anchors of the ledger cannot be written to {$path}.");
        try {
            flock($file, LOCK_EX);
            $known = Anchor::readAll(self::lines((string) stream_get_contents($file)), self::key());
            $last = end($known) ?: null;
            if ($last === null || $last->number < (int) $head->count) {
                fwrite(
                    $file,
                    Anchor::after(
                        $last,
                        (int) $head->count,
                        CarbonImmutable::now('UTC')->format('Y-m-d\TH:i:s\Z'),
                        $head->hash,
                        self::key(),
                    ) . "\n",
                );
                fflush($file);
                fsync($file);
            }
        } finally {
            fclose($file);
        }
    }

    /**
     * @return array<int, string> number => hash
     *
     * @throws Refusal when the file is not as it was written
     */
    public function all(): array
    {
        $path = config()->string('ledger.anchors');
        $lines = $path !== '' && is_file($path) ? self::lines((string) file_get_contents($path)) : [];

        return array_column(Anchor::readAll($lines, self::key()), 'hash', 'number');
    }

    /** @return list<string> */
    private static function lines(string $content): array
    {
        return $content === '' ? [] : explode("\n", rtrim($content, "\n"));
    }

    private static function key(): string
    {
        $own = config()->string('ledger.anchor_key');

        return $own !== '' ? $own : hash_hmac('sha256', 'anchors of the ledger', config()->string('app.key'));
    }
}
