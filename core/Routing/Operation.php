<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Quantity\Minutes;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Refusal;

/**
 * One operation of a routing: inside at a work centre, or outside at a supplier. Its key is the identity that survives revisions; lines
 * of the structure name it by its number.
 */
final readonly class Operation
{
    /**
     * @param  string  $workCentre  by its code at the plant; empty for one that a supplier does
     * @param  Minutes  $run  for each unit, or for the whole batch, as $per says
     * @param  string  $supplier  who does it; empty: the plant itself
     * @param  ?Money  $cost  what the supplier takes for a unit; null: not known
     * @param  ?int  $leadTime  days it takes outside; null: not known
     * @param  string  $instruction  the number of a document; empty: none
     * @param  list<string>  $tools  numbers of items
     * @param  string  $inspection  what is looked at, in words
     * @param  string  $specification  the number of the document that it is looked at by; empty: none
     */
    public function __construct(
        public string $key,
        public int $number,
        public string $title,
        public string $workCentre = '',
        public Minutes $setUp = new Minutes(),
        public Minutes $run = new Minutes(),
        public RunPer $per = RunPer::Unit,
        public string $supplier = '',
        public ?Money $cost = null,
        public ?int $leadTime = null,
        public string $instruction = '',
        public array $tools = [],
        public string $inspection = '',
        public string $specification = '',
    ) {}

    public function isOutside(): bool
    {
        return $this->supplier !== '';
    }

    /** @return list<string> the items that it refers to: documents and tools */
    public function refersTo(): array
    {
        return array_values(array_filter([$this->instruction, ...$this->tools, $this->specification]));
    }

    /** A field as text, as it is compared and shown. */
    public function text(OperationField $field): string
    {
        return match ($field) {
            OperationField::Number => (string) $this->number,
            OperationField::Title => $this->title,
            OperationField::WorkCentre => $this->workCentre,
            OperationField::SetUp => (string) $this->setUp,
            OperationField::Run => (string) $this->run,
            OperationField::Per => $this->per->value,
            OperationField::Supplier => $this->supplier,
            OperationField::Cost => (string) $this->cost,
            OperationField::LeadTime => (string) $this->leadTime,
            OperationField::Instruction => $this->instruction,
            OperationField::Tools => implode(', ', $this->tools),
            OperationField::Inspection => $this->inspection,
            OperationField::Specification => $this->specification,
        };
    }

    /** @return array<string, string> all of them, by the values of OperationField */
    public function texts(): array
    {
        $texts = [];
        foreach (OperationField::cases() as $field) {
            $texts[$field->value] = $this->text($field);
        }

        return $texts;
    }

    /** @return list<OperationField> the fields in which another says something else */
    public function differsFrom(self $other): array
    {
        return array_values(
            array_filter(OperationField::cases(), fn(OperationField $field): bool => $this->text($field) !== $other->text($field)),
        );
    }

    /**
     * The same operation with some fields given anew, as people type them.
     *
     * @param  array<string, string>  $fields  by the values of OperationField
     *
     * @throws Refusal naming every field that cannot be so
     */
    public function with(array $fields): self
    {
        return (new OperationReader())->read($this->key, $fields, $this);
    }
}
