<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Form;

use Orthotaxis\Core\Calendar\Day;

/** One thing that a form which came back would do to the record. */
final readonly class Proposal
{
    public function __construct(
        public string $tag,
        public string $label,
        public TagUse $use,
        /** what stands in the record now, of a field */
        public string $before,
        /** the new value, the finding, the question, what is to be done; of an attachment the hash of its content */
        public string $after,
        public ?RecordField $field = null,
        public ?QuestionPlan $question = null,
        public ?TaskPlan $task = null,
        /** number of the item that a question is about */
        public string $item = '',
        public ?Day $due = null,
        /** why it cannot be done; then it has to be left out */
        public ?string $fault = null,
    ) {}

    public function withFault(string $fault): self
    {
        return new self(
            tag: $this->tag,
            label: $this->label,
            use: $this->use,
            before: $this->before,
            after: $this->after,
            field: $this->field,
            question: $this->question,
            task: $this->task,
            item: $this->item,
            due: $this->due,
            fault: $fault,
        );
    }
}
