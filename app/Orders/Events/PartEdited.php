<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Content\Subject;

/** One part of a subject, such as a line of an item, is edited under an order. */
final readonly class PartEdited extends Deed
{
    public function __construct(string $by, string $of, public Subject $subject, public Edit $edit)
    {
        parent::__construct($by, $of);
    }

    public function name(): string
    {
        return PartsEdited::area($this->subject) . ".{$this->edit->name()}";
    }

    public function details(): array
    {
        return PartsEdited::where($this->subject) + [
            $this->subject->isEngineering() ? 'line' : 'part' => $this->edit->part(),
            'fields' => $this->edit->fields(),
        ];
    }
}
