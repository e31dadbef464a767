<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** One thing that has to be done for a cut-in on a day, and by when. */
final readonly class ToDo
{
    /**
     * @param  int  $by  the last day for it, from today
     * @param  string  $part  number; empty for what belongs to all
     * @param  string  $document  empty where there is none yet
     * @param  int  $quantity  millionths of the part; 0 where nothing is counted
     * @param  ?int  $for  the day on which it is wanted, or comes
     */
    public function __construct(
        public ToDoKind $kind,
        public int $by,
        public string $part = '',
        public string $document = '',
        public int $quantity = 0,
        public ?int $for = null,
    ) {}
}
