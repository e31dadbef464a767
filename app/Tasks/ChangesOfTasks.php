<?php

declare(strict_types=1);

namespace App\Tasks;

use Orthotaxis\Core\Refusal;

/** What tasks want to know of the report, request or order that they are for. */
interface ChangesOfTasks
{
    /**
     * Holds the change for this transaction, so that it does not end while a task is made for it. Ends with 404 when there is none.
     *
     * @throws Refusal when it has ended
     */
    public function holdOpen(string $number): void;

    /** Ends with 404 when there is no such change. */
    public function title(string $number): string;
}
