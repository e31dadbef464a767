<?php

declare(strict_types=1);

namespace App\Orders\Strokes;

use App\Orders\Models\WorkRecord;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Structure\Structure;

/** What is to be done to one subject of an order. */
final readonly class SubjectEdits
{
    /**
     * @param  WorkRecord  $work  held, with its edits, item and order
     * @param  non-empty-list<Edit>  $edits
     * @param  ?Structure  $now  its lines as they are, where they have been read already; null: they are read
     */
    public function __construct(public WorkRecord $work, public array $edits, public ?Structure $now = null) {}
}
