<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/** The line goes. */
final readonly class RemoveLine implements LineEdit
{
    use OfLine;

    public function operation(): EditOperation
    {
        return EditOperation::Remove;
    }

    public function apply(?Line $line): null
    {
        self::present($line);

        return null;
    }

    /** All of it: whoever changed anything else of the line has to choose. */
    public function touches(): array
    {
        return array_column(LineField::cases(), 'value');
    }

    public function inWords(): string
    {
        return 'Line taken out';
    }
}
