<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Form;

/** One content control of a form, and what stands in it. */
final readonly class Control
{
    /** What a ticked box says. */
    public const TICKED = 'yes';

    /**
     * @param  string  $value  text; TICKED or empty; a day as YYYY-MM-DD; the value that is chosen; the name of a picture's relationship
     * @param  array<string, string>  $options  what may be chosen: value => text
     * @param  string  $hint  what stands in it as long as nobody wrote anything
     */
    public function __construct(
        public string $tag,
        public ControlKind $kind,
        public string $title,
        public string $value,
        public array $options = [],
        public string $hint = '',
    ) {}

    public function saying(string $value): self
    {
        return new self(tag: $this->tag, kind: $this->kind, title: $this->title, value: $value, options: $this->options, hint: $this->hint);
    }
}
