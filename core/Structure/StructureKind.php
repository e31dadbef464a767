<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

/** Which of the three pictures of a product a structure is. */
enum StructureKind: string
{
    case Design = 'design';
    case Engineering = 'engineering';
    case Manufacturing = 'manufacturing';
}
