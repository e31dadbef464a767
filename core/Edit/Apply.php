<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;

/** Base plus edits gives after. Nothing of the base is changed. */
final readonly class Apply
{
    /**
     * @param  iterable<LineEdit>  $edits  in the order they were made
     *
     * @throws Refusal of the first edit that does not fit
     */
    public static function all(Structure $base, iterable $edits): Structure
    {
        $draft = new Draft($base);
        foreach ($edits as $edit) {
            $draft->make($edit);
        }

        return $draft->structure();
    }

    /** @throws Refusal when the edit does not fit the structure */
    public static function one(Structure $structure, LineEdit $edit): Structure
    {
        return self::all($structure, [$edit]);
    }
}
