<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;
use Orthotaxis\Core\Edit\LineEdit;

/** One line of an item is edited under an order. */
final readonly class LineEdited extends Deed
{
    public function __construct(string $by, string $of, public string $item, public LineEdit $edit)
    {
        parent::__construct($by, $of);
    }

    public function name(): string
    {
        return "structure.{$this->edit->name()}";
    }

    public function details(): array
    {
        return ['item' => $this->item, 'line' => $this->edit->part(), 'fields' => $this->edit->fields()];
    }
}
