<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Transfer;

use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/** One edit where it was made, and what of it is carried: read once for all siblings. */
final readonly class Done
{
    /** What a plant says of a line is said by each plant for itself. */
    public const OF_PLANT = [LineField::Operation, LineField::Scrap, LineField::TakesOver];

    /** @var list<array{LineField, string}> what it sets of that which is the line's own */
    public array $wanted;

    /** @var list<array{LineField, string}> what it rests on, as it read before: where it reads otherwise, somebody decides */
    public array $resting;

    /** Whether the component stays as it is. */
    public bool $keepsComponent;

    public function __construct(public Difference $of)
    {
        $this->keepsComponent = $of->after !== null && $of->after->component === $of->before?->component;
        $own = array_filter($of->fields, static fn(LineField $one): bool => !in_array($one, self::OF_PLANT, true));
        $resting = array_filter($own, static fn(LineField $one): bool => $one !== LineField::Find);
        if (!$this->keepsComponent) {
            // Another component, or none, was meant for so much of the old one.
            $meant = [LineField::Quantity, LineField::Unit, ...$resting];
            $resting = array_filter(LineField::cases(), static fn(LineField $one): bool => in_array($one, $meant, true));
        }
        $this->wanted = self::read($own, $of->after);
        $this->resting = self::read($resting, $of->before);
    }

    /**
     * @param  array<LineField>  $fields
     * @return list<array{LineField, string}>
     */
    private static function read(array $fields, ?Line $line): array
    {
        if ($line === null) {
            return [];
        }
        $read = [];
        foreach ($fields as $field) {
            $read[] = [$field, $line->text($field)];
        }

        return $read;
    }
}
