<?php

declare(strict_types=1);

namespace App\Imports;

/** Takes over what plants build. Whoever knows plants says how. */
interface BuiltImporter extends Importer {}
