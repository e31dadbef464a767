<?php

declare(strict_types=1);

namespace App\Tasks;

use App\Tasks\Data\EditableItem;

/** What tasks may have to do with an order. */
final readonly class WorkOfTasks
{
    /**
     * @param  list<EditableItem>  $editable  what a task may edit
     * @param  list<'review'|'release'>  $mayWait  what may wait for a task
     */
    public function __construct(public array $editable = [], public array $mayWait = []) {}
}
