<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Transfer;

use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Structure\LineField;

/** One edit where it was made, and what of it is carried: read once for all siblings. */
final readonly class Done
{
    /** What a plant says of a line is said by each plant for itself. */
    public const OF_PLANT = [LineField::Operation, LineField::Scrap, LineField::TakesOver];

    /** @var list<LineField> that it changes, and that are the line's own */
    public array $fields;

    /** @var list<LineField> that it rests on: where one of them reads otherwise, somebody decides */
    public array $resting;

    /** Whether the component stays as it is. */
    public bool $keepsComponent;

    public function __construct(public Difference $of)
    {
        $this->keepsComponent = $of->after !== null && $of->after->component === $of->before?->component;
        $this->fields = array_values(array_filter($of->fields, static fn(LineField $one): bool => !in_array($one, self::OF_PLANT, true)));
        $this->resting = [
            ...array_values(array_filter($this->fields, static fn(LineField $one): bool => $one !== LineField::Find)),
            // Another component, or none, was meant for so much of the old one.
            ...$this->keepsComponent ? [] : [LineField::Quantity, LineField::Unit],
        ];
    }
}
