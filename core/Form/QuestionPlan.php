<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Form;

/** The question that is asked when a box is ticked or something is written. Tags name other controls of the same form. */
final readonly class QuestionPlan
{
    public function __construct(
        /** of the company, by its code */
        public string $function,
        public string $topic,
        public string $text,
        /** sign-in name of a person, or a role */
        public string $to,
        /** days from the day it is taken in, where the form names no day */
        public int $days,
        /** text that is put behind the question */
        public ?string $textTag = null,
        public ?string $dueTag = null,
        /** choice of the item it is about; the first item otherwise */
        public ?string $itemTag = null,
    ) {}
}
