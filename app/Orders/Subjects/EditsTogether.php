<?php

declare(strict_types=1);

namespace App\Orders\Subjects;

use App\Orders\Strokes\SubjectEdits;
use Orthotaxis\Core\Refusal;

/** Edits subjects that have lines, many of them at one stroke. */
interface EditsTogether extends SubjectEditor
{
    /**
     * What cannot be so of edits of many subjects of the kind, all of one order: each is judged by what the ones before it left. Asked of
     * the database a number of times that does not depend on how many.
     *
     * @param  list<SubjectEdits>  $all
     * @return array<int, array<int, Refusal>> by place of the subject, and of the edit
     */
    public function refusals(array $all): array;
}
