<?php

declare(strict_types=1);

namespace App\Imports;

use Orthotaxis\Core\Structure\StructureKind;

/** What a file brings. */
enum Subject: string
{
    case Items = 'items';
    case Structures = 'structures';
    case Design = 'design';
    case Manufacturing = 'manufacturing';

    public function importer(): Importer
    {
        return match ($this) {
            self::Items => new ItemImport(),
            self::Structures => new StructureImport(),
            self::Design => new StructureImport(StructureKind::Design),
            self::Manufacturing => app(BuiltImporter::class),
        };
    }
}
