<?php

declare(strict_types=1);

namespace App\Planning;

/** The planning system did not answer, or not in a way that can be understood. */
final class PlanningSilent extends \RuntimeException {}
