<?php

declare(strict_types=1);

namespace App\Structures\Index;

use App\Structures\Picture;

/**
 * Where the lists of one picture lie on this machine. A version is a folder of PHP files that only return arrays: PHP's
 * opcode cache keeps them in memory that all workers share, and nothing is read or copied for a request.
 */
final readonly class IndexFolder
{
    private string $folder;

    public function __construct(Picture $picture)
    {
        // Lists of one database are never taken for those of another.
        $database = array_intersect_key((array) config('database.connections.pgsql'), ['host' => 1, 'port' => 1, 'database' => 1]);
        $this->folder = config()->string('orthotaxis.index.folder').'/'.substr(md5((string) json_encode($database)), 0, 12).'/'.$picture->name();
    }

    /** The folder of the version in use; null when none has been built here, or only one in an older form (the 2 in the name). */
    public function current(): ?string
    {
        $name = @file_get_contents($this->folder.'/current');

        return $name === false || $name === '' || ! is_file("{$this->folder}/{$name}/manifest-2.php") ? null : "{$this->folder}/{$name}";
    }

    /** A new folder to write a version into. */
    public function begin(): string
    {
        $path = $this->folder.'/'.bin2hex(random_bytes(6));
        if (! is_dir($path) && ! mkdir($path, 0o775, true)) {
            throw new \RuntimeException("Cannot write the structure index to {$path}. Make its folder writable, or set STRUCTURE_INDEX to another.");
        }

        return $path;
    }

    /** Makes a finished version the one in use, and drops those before the last. */
    public function use(string $path): void
    {
        $last = $this->current();
        $pointer = $this->folder.'/current.'.bin2hex(random_bytes(4));
        file_put_contents($pointer, basename($path));
        rename($pointer, $this->folder.'/current');
        foreach (glob($this->folder.'/*', GLOB_ONLYDIR) ?: [] as $old) {
            if ($old !== $path && $old !== $last) {
                array_map(unlink(...), glob($old.'/*') ?: []);
                @rmdir($old);
            }
        }
    }

    /** @param  array<array-key, mixed>  $value  of integers, texts and arrays of them */
    public static function write(string $path, string $name, array $value): void
    {
        $file = "{$path}/{$name}.php";
        file_put_contents($file, '<?php return '.self::text($value).";\n");
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
            $parts[] = $list ? $text : var_export($key, true).'=>'.$text;
        }

        return '['.implode(',', $parts).']';
    }
}
