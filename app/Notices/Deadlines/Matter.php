<?php

declare(strict_types=1);

namespace App\Notices\Deadlines;

use Orthotaxis\Core\Calendar\Day;

/** Something that is due and not done. */
final readonly class Matter
{
    /**
     * @param  string  $key  by which it is known again
     * @param  string  $change  number of the change that it is of
     * @param  string  $title  of the change
     * @param  string  $path  of the page on which it is done
     * @param  string  $called  what it is, in words
     * @param  list<int>  $people  ids of who can do it
     * @param  list<int>  $escalateTo  ids of who is told when it stays undone
     * @param  ?int  $remind  working days before it is due
     * @param  ?int  $escalate  working days after it was
     */
    public function __construct(
        public string $key,
        public string $change,
        public string $title,
        public string $path,
        public string $called,
        public Day $due,
        public array $people,
        public array $escalateTo,
        public ?int $remind,
        public ?int $escalate,
    ) {}
}
