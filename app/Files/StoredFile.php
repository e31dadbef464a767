<?php

declare(strict_types=1);

namespace App\Files;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Content that somebody brought, kept in the database so that any machine can work on it. */
final readonly class StoredFile
{
    /** Bytes read from the database at once: the whole of it would take its size several times over. */
    private const PIECE = 4_000_000;

    /** @return string its id */
    public static function keep(string $path): string
    {
        $id = (string) Str::uuid7();
        $statement = DB::connection()->getPdo()->prepare('INSERT INTO stored_files (id, content) VALUES (?, ?)');
        $statement->bindValue(1, $id);
        $statement->bindValue(2, fopen($path, 'rb'), \PDO::PARAM_LOB);
        $statement->execute();

        return $id;
    }

    /**
     * Gives the content as a file of this machine for as long as it is worked on.
     *
     * @template Result
     *
     * @param  \Closure(string): Result  $work  with the path
     * @return Result
     */
    public static function with(string $id, \Closure $work): mixed
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'orthotaxis-file-');
        try {
            self::write($id, $path);

            return $work($path);
        } finally {
            @unlink($path);
        }
    }

    private static function write(string $id, string $path): void
    {
        $file = fopen($path, 'wb') ?: throw new \RuntimeException("{$path} cannot be written.");
        $piece = DB::connection()->getPdo()->prepare('SELECT substring(content FROM ? FOR ?) FROM stored_files WHERE id = ?');
        $from = 1;
        do {
            $piece->execute([$from, self::PIECE, $id]);
            $content = $piece->fetchColumn();
            $read = is_resource($content) ? (int) stream_copy_to_stream($content, $file) : 0;
            $from += $read;
        } while ($read === self::PIECE);
        fclose($file);
    }
}
