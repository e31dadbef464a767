<?php

declare(strict_types=1);

namespace App\Orders\Subjects;

use App\Http\Stale;
use App\Orders\Models\WorkRecord;
use App\People\Models\Person;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Refusal;

/**
 * How subjects of one kind are edited under orders. Whatever is the same for all of them (undo, iterations, bringing in what others
 * released) goes through this; a further kind is a class that says so, given to SubjectEditors by a provider.
 */
interface SubjectEditor
{
    /** The name under which contents of the kind are kept. */
    public function kind(): string;

    /**
     * Held for the rest of the transaction, with its edits, order and item.
     *
     * @param  ?int  $seen  the number of the newest edit that was on screen; null: it does not matter
     *
     * @throws Stale when somebody has edited it since
     * @throws Refusal when the person cannot edit it now
     */
    public function hold(Person $by, NamedWork $named, ?int $seen): WorkRecord;

    /**
     * Writes edits down once nothing speaks against them, all of them or none; each is judged by what the ones before it left.
     *
     * @param  non-empty-list<Edit>  $edits
     *
     * @throws Refusal when one does not fit, or names what there is not
     */
    public function keep(WorkRecord $work, Person $by, array $edits): void;
}
