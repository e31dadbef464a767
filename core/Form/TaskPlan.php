<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Form;

/** The task that is made when a box is ticked or something is written. Tags name other controls of the same form. */
final readonly class TaskPlan
{
    /** Characters of a title. */
    public const LONGEST = 200;

    public function __construct(
        /** of work */
        public string $kind,
        public string $title,
        /** sign-in name of a person, or group: and the code of a group */
        public string $to,
        /** days from the day it is taken in, where the form names no day */
        public int $days,
        /** text that is put into the task */
        public ?string $textTag = null,
        public ?string $dueTag = null,
    ) {}
}
