<?php

declare(strict_types=1);

namespace App\Tasks;

use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;

/** What tasks want to know of the report, request or order that they are for. */
interface ChangesOfTasks
{
    /** Holds the change for this transaction. Whoever holds a task too holds its change first, as whoever ends the change does. */
    public function hold(string $number): void;

    /**
     * Holds the change for this transaction, so that it does not end while a task is made for it. Ends with 404 when there is none.
     *
     * @throws Refusal when it has ended
     */
    public function holdOpen(string $number): void;

    /**
     * @param  list<Subject>  $subjects
     * @return list<int> the item of each
     *
     * @throws Refusal at each, by its place in the list, that cannot be edited under the change
     */
    public function edited(string $number, array $subjects): array;

    /** What tasks may have to do with its order, now or later; nothing where it is none. */
    public function work(string $number): WorkOfTasks;

    /** Ends with 404 when there is no such change. */
    public function title(string $number): string;
}
