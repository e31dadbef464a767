<?php

declare(strict_types=1);

namespace App\Imports;

use App\Imports\Models\Import;
use App\Tables\MarkedTable;
use App\Tables\SheetReader;

/** The file that was refused, as XLSX, each bad cell marked and its reason at the end of its row. */
final readonly class MarkedSheet
{
    /**
     * @param  string  $content  where the file is
     * @return string where the marked one is
     */
    public static function write(Import $import, string $content): string
    {
        $importer = $import->subject->importer();
        $columns = $importer::columns();
        $reasons = [];
        foreach ($import->faults as $fault) {
            $reasons[$fault['row']][$fault['column']] = $fault['reason'];
        }

        return MarkedTable::write($columns, (new SheetReader($content, $columns, $importer::needed()))->rows(), $reasons);
    }
}
