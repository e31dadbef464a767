<?php

declare(strict_types=1);

namespace App\Imports;

/** What a file brings. */
enum Subject: string
{
    case Items = 'items';
    case Structures = 'structures';

    public function importer(): Importer
    {
        return match ($this) {
            self::Items => new ItemImport,
            self::Structures => new StructureImport,
        };
    }
}
