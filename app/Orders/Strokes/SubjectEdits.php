<?php

declare(strict_types=1);

namespace App\Orders\Strokes;

use App\Orders\Models\WorkRecord;
use Orthotaxis\Core\Content\Edit;

/** What is to be done to one subject of an order. */
final readonly class SubjectEdits
{
    /**
     * @param  WorkRecord  $work  held, with its edits, item and order
     * @param  non-empty-list<Edit>  $edits
     */
    public function __construct(public WorkRecord $work, public array $edits) {}
}
