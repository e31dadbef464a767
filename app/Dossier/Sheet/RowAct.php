<?php

declare(strict_types=1);

namespace App\Dossier\Sheet;

use Orthotaxis\Core\Structure\LineField;

/** What a row of a sheet does to a line. */
final readonly class RowAct
{
    /**
     * @param  string  $act  one of OrderSheetColumns::ACTS
     * @param  array<value-of<LineField>, string>  $fields  what its cells say
     */
    public function __construct(public string $act, public array $fields) {}
}
