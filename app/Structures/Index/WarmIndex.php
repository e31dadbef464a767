<?php

declare(strict_types=1);

namespace App\Structures\Index;

use App\Structures\StructureView;

/**
 * Switches to a new version of the index when it is compiled. The files of a version are PHP, and the opcode cache that answers
 * come from belongs to the web workers: so one of them compiles the new version, after it has sent an answer of its own, and
 * only then it is the one in use. Until then the last version answers, as right as before.
 */
final readonly class WarmIndex
{
    /** Seconds it may take: ten times what four million lines take. */
    private const PATIENCE = 60;

    public static function afterAnswer(StructureView $view): void
    {
        $folder = new IndexFolder($view);
        if ($folder->offered() !== null) {
            app()->terminating(static fn() => (new self())($folder));
        }
    }

    public function __invoke(IndexFolder $folder): void
    {
        $folder->alone(static function () use ($folder): void {
            $path = $folder->offered();
            if ($path === null) {
                return;
            }
            if (function_exists('opcache_get_status') && opcache_get_status(false) !== false) {
                set_time_limit(self::PATIENCE);
                array_map(opcache_compile_file(...), glob("{$path}/*.php") ?: []);
            }
            $folder->use($path);
        });
    }
}
