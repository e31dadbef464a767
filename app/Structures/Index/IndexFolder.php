<?php

declare(strict_types=1);

namespace App\Structures\Index;

use App\Structures\StructureView;

/**
 * Where the lists of one picture lie on this machine. A version is a folder of PHP files that only return arrays: PHP's
 * opcode cache keeps them in memory that all workers share, and nothing is read or copied for a request.
 */
final readonly class IndexFolder
{
    /** The file that is written last, which says what a version is. Its number goes up when what lines say in it changes. */
    public const MANIFEST = 'manifest-4';

    /** Seconds after which a version that was not finished is nobody's work any more. */
    private const GIVEN_UP = 3_600;

    private string $folder;

    public function __construct(StructureView $view)
    {
        // Lists of one database are never taken for those of another.
        $database = array_intersect_key((array) config('database.connections.pgsql'), ['host' => 1, 'port' => 1, 'database' => 1]);
        $this->folder =
            config()->string('orthotaxis.index.folder') . '/' . substr(md5((string) json_encode($database)), 0, 12) . '/' . $view->name();
    }

    /** The folder of the version in use; null when none has been built here, or only one in an older form. */
    public function current(): ?string
    {
        return $this->named('current');
    }

    /** A new folder to write a version into. */
    public function begin(): string
    {
        $path = $this->folder . '/' . bin2hex(random_bytes(6));
        if (!is_dir($path) && !mkdir($path, 0o775, true)) {
            throw new \RuntimeException(
                "Cannot write the structure index to {$path}. Make its folder writable, or set STRUCTURE_INDEX to another.",
            );
        }

        return $path;
    }

    /**
     * Hands over a finished version. Where web workers answer from compiled files, one of them compiles this one first and
     * switches then (WarmIndex): nobody waits for it. Where there is no version yet, or nobody to compile it, it is used at once.
     */
    public function offer(string $path): void
    {
        if ($this->current() === null || !config()->boolean('orthotaxis.index.warmed')) {
            $this->use($path);
        } else {
            $this->point('next', $path);
        }
    }

    /** A finished version that waits to be compiled. */
    public function offered(): ?string
    {
        return $this->named('next');
    }

    /** Makes a finished version the one in use, and drops those before the last. What is not finished yet is somebody's work. */
    public function use(string $path): void
    {
        $last = $this->current();
        $this->point('current', $path);
        if ($this->offered() === $path) {
            @unlink($this->folder . '/next');
        }
        $kept = [$path, $last, $this->offered()];
        foreach (glob($this->folder . '/*', GLOB_ONLYDIR) ?: [] as $old) {
            $finished = is_file("{$old}/" . self::MANIFEST . '.php') || filemtime($old) < time() - self::GIVEN_UP;
            if ($finished && !in_array($old, $kept, true)) {
                array_map(unlink(...), glob($old . '/*') ?: []);
                @rmdir($old);
            }
        }
    }

    /** Leaves a version that cannot be read: it is no longer the one in use, and is gone with the next. */
    public static function giveUp(string $path): void
    {
        foreach (['current', 'next'] as $pointer) {
            $file = dirname($path) . "/{$pointer}";
            if (@file_get_contents($file) === basename($path)) {
                @unlink($file);
            }
        }
    }

    /** Lets one at a time do something here; who comes second does nothing. */
    public function alone(\Closure $work): void
    {
        $lock = fopen($this->folder . '/alone', 'c');
        if ($lock !== false && flock($lock, LOCK_EX | LOCK_NB)) {
            $work();
            flock($lock, LOCK_UN);
        }
    }

    private function named(string $pointer): ?string
    {
        $name = @file_get_contents("{$this->folder}/{$pointer}");

        return $name === false || $name === '' || !is_file("{$this->folder}/{$name}/" . self::MANIFEST . '.php')
            ? null
            : "{$this->folder}/{$name}";
    }

    private function point(string $pointer, string $path): void
    {
        $new = "{$this->folder}/{$pointer}." . bin2hex(random_bytes(4));
        file_put_contents($new, basename($path));
        rename($new, "{$this->folder}/{$pointer}");
    }

    /** @param  array<array-key, mixed>  $value  of integers, texts and arrays of them */
    public static function write(string $path, string $name, array $value): void
    {
        $file = "{$path}/{$name}.php";
        file_put_contents($file, '<?php return ' . self::text($value) . ";\n");
        // The opcode cache leaves files alone that are younger than two seconds.
        touch($file, time() - 60);
    }

    /** @param  array<array-key, mixed>  $value */
    private static function text(array $value): string
    {
        $list = array_is_list($value);
        $parts = [];
        foreach ($value as $key => $item) {
            $text = is_array($item) ? self::text($item) : var_export($item, true);
            $parts[] = $list ? $text : var_export($key, true) . '=>' . $text;
        }

        return '[' . implode(',', $parts) . ']';
    }
}
