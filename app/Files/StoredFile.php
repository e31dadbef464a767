<?php

declare(strict_types=1);

namespace App\Files;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Content that somebody brought, kept in the database so that any machine can work on it. */
final readonly class StoredFile
{
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
        $content = DB::table('stored_files')->where('id', $id)->value('content');
        $path = (string) tempnam(sys_get_temp_dir(), 'orthotaxis-file-');
        file_put_contents($path, $content);
        unset($content);
        try {
            return $work($path);
        } finally {
            @unlink($path);
        }
    }
}
