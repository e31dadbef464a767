<?php

declare(strict_types=1);

namespace App\Structures\Index;

/** A file of the index is missing or is not what was written. The version it is of is not used again. */
final class DamagedIndex extends \RuntimeException
{
    private function __construct(string $file, \Throwable $why)
    {
        parent::__construct(
            "The structure index is damaged ({$file}): it is left, answers come from the database until it is written anew.",
            0,
            $why,
        );
    }

    /**
     * What a file of a version returns.
     *
     * @return array<array-key, mixed>
     *
     * @throws self when it does not return a list; then its version is given up
     */
    public static function guard(string $folder, string $name): array
    {
        try {
            $lists = @include "{$folder}/{$name}.php";
            is_array($lists) || throw new \UnexpectedValueException('There is no list in it.');

            return $lists;
        } catch (\Throwable $why) {
            IndexFolder::giveUp($folder);

            throw new self("{$name}.php", $why);
        }
    }
}
