<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Content\Changes;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;

/**
 * What an order does to one subject. Before is what it starts from, after is that with its edits; both, and what differs between them,
 * are reckoned once.
 */
final class Work
{
    private ?Changes $changes = null;

    /**
     * @param  list<Edit>  $edits  in the order they were made
     * @param  ?int  $editor  who makes them, a person's id
     * @param  list<string>  $broken  why the edits no longer fit what they start from, if they do not; after is before then
     * @param  list<string>  $missing  what it needs and what does not hold on the effective day: what comes after its name in a sentence
     */
    private function __construct(
        public readonly Subject $subject,
        public readonly Base $base,
        public readonly Content $before,
        public readonly array $edits,
        public readonly ?int $editor,
        public readonly Content $after,
        public readonly array $broken,
        public readonly array $missing,
    ) {}

    /** @param  list<Edit>  $edits  in the order they were made */
    public static function on(Subject $subject, Base $base, Content $before, array $edits, ?int $editor = null): self
    {
        try {
            $after = $before->edited($edits);
            $broken = [];
        } catch (Refusal $refusal) {
            $after = $before;
            $broken = array_values($refusal->reasons);
        }

        return new self($subject, $base, $before, edits: $edits, editor: $editor, after: $after, broken: $broken, missing: []);
    }

    /** @param  list<string>  $missing */
    public function lacking(array $missing): self
    {
        return $missing === $this->missing
            ? $this
            : new self(
                $this->subject,
                $this->base,
                $this->before,
                edits: $this->edits,
                editor: $this->editor,
                after: $this->after,
                broken: $this->broken,
                missing: $missing,
            );
    }

    public function changes(): Changes
    {
        return $this->changes ??= $this->after->since($this->before);
    }
}
