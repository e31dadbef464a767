<?php

declare(strict_types=1);

namespace App\Orders\Worksheet;

use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\NamedWork;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Structure\Structure;

/** The lines of one subject of an order, as they were and as they are to be. */
final readonly class SubjectLines
{
    /**
     * @param  ?WorkRecord  $work  with its edits and their authors; null: nothing was begun of it
     * @param  bool  $movedOn  another order has released it since it was begun here
     */
    public function __construct(
        public NamedWork $named,
        public ?WorkRecord $work,
        public Structure $before,
        public Structure $after,
        public bool $movedOn,
    ) {}

    public function changes(): Comparison
    {
        return Comparison::of($this->before, $this->after);
    }

    /** The number of its newest edit, whether it holds or not. */
    public function seen(): int
    {
        return (int) $this->work?->edits->max('number');
    }
}
