<?php

declare(strict_types=1);

namespace App\Imports;

/** Somebody cancelled the import while it was checked. */
final class Cancelled extends \RuntimeException {}
