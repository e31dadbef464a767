<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Structure\LineField;

/** The kinds of edit by the names under which they are kept. A new kind is a class of its own and a case here. */
enum EditOperation: string
{
    case Add = 'add';
    case Remove = 'remove';
    case Replace = 'replace';
    case Change = 'change';

    /** The version in which edits are kept now. What was kept in an earlier one is still read. */
    public const VERSION = 1;

    /**
     * @param  string  $line  the key of the line; empty for a new one
     * @param  array<value-of<LineField>, string>  $fields
     */
    public function of(string $line, array $fields = []): LineEdit
    {
        return match ($this) {
            self::Add => new AddLine($line, $fields),
            self::Remove => new RemoveLine($line, $fields),
            self::Replace => new ReplaceComponent($line, $fields),
            self::Change => new ChangeLine($line, $fields),
        };
    }
}
