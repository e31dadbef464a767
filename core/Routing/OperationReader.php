<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Quantity\Minutes;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Refusal;

/** Reads the fields of an operation as people type them, and says of each what is wrong with it. */
final class OperationReader
{
    private const LONGEST = ['title' => 120, 'work_centre' => 20, 'supplier' => 120, 'inspection' => 300];

    private const MOST_DAYS = 999;

    /** @var array<string, string> field => reason */
    private array $reasons = [];

    /**
     * @param  array<string, string>  $fields  by the values of OperationField; what is not given stays as it was
     *
     * @throws Refusal naming every field that cannot be so
     */
    public function read(string $key, array $fields, ?Operation $was = null): Operation
    {
        $this->reasons = [];
        $text = static fn(OperationField $field): string => trim($fields[$field->value] ?? ($was?->text($field) ?? ''));
        $operation = new Operation(
            key: $key,
            number: $this->number($text(OperationField::Number)),
            title: $this->short(OperationField::Title, $text(OperationField::Title)),
            workCentre: $this->short(OperationField::WorkCentre, $text(OperationField::WorkCentre)),
            setUp: $this->minutes(OperationField::SetUp, $text(OperationField::SetUp)),
            run: $this->minutes(OperationField::Run, $text(OperationField::Run)),
            per: $this->per($text(OperationField::Per)),
            supplier: $this->short(OperationField::Supplier, $text(OperationField::Supplier)),
            cost: $this->cost($text(OperationField::Cost)),
            leadTime: $this->days($text(OperationField::LeadTime)),
            instruction: $text(OperationField::Instruction),
            tools: self::numbers($text(OperationField::Tools)),
            inspection: $this->short(OperationField::Inspection, $text(OperationField::Inspection)),
            specification: $text(OperationField::Specification),
        );
        $this->checkWhere($operation);

        return $this->reasons === [] ? $operation : throw Refusal::because($this->reasons);
    }

    /** Inside at a work centre, or outside at a supplier. */
    private function checkWhere(Operation $operation): void
    {
        if ($operation->title === '') {
            $this->reasons['title'] = 'Say what is done.';
        }
        if ($operation->isOutside()) {
            if ($operation->workCentre !== '') {
                $this->reasons['work_centre'] = 'A supplier does this operation: it has no work centre. Empty one of the two.';
            }
            if ($operation->setUp->thousandths > 0 || $operation->run->thousandths > 0) {
                $this->reasons['run'] = 'A supplier does this operation: say what it costs and how many days it takes, not minutes.';
            }

            return;
        }
        if ($operation->workCentre === '') {
            $this->reasons['work_centre'] ??= 'Name the work centre, or the supplier that does it.';
        }
        foreach (['cost' => $operation->cost, 'lead_time' => $operation->leadTime] as $field => $value) {
            if ($value !== null) {
                $this->reasons[$field] ??= 'Only an operation that a supplier does has a cost and a lead time of its own.';
            }
        }
    }

    private function number(string $text): int
    {
        if (preg_match('/^\d{1,4}$/D', $text) !== 1 || (int) $text < 1) {
            $this->reasons['number'] = 'The number of an operation is a whole number from 1 to 9999.';
        }

        return (int) $text;
    }

    private function minutes(OperationField $field, string $text): Minutes
    {
        try {
            return $text === '' ? new Minutes() : Minutes::parse($text, $field->value);
        } catch (Refusal $refusal) {
            $this->reasons[$field->value] = $refusal->getMessage();

            return new Minutes();
        }
    }

    private function per(string $text): RunPer
    {
        $per = $text === '' ? RunPer::Unit : RunPer::tryFrom($text);
        if ($per === null) {
            $this->reasons['per'] = 'The run time is per unit or per batch.';
        }

        return $per ?? RunPer::Unit;
    }

    private function cost(string $text): ?Money
    {
        try {
            $cost = $text === '' ? null : Money::parse($text, 'cost');
        } catch (Refusal $refusal) {
            $this->reasons['cost'] = $refusal->getMessage();

            return null;
        }
        if ($cost !== null && $cost->tenThousandths < 0) {
            $this->reasons['cost'] = 'A cost is not below zero.';
        }

        return $cost;
    }

    private function days(string $text): ?int
    {
        if ($text === '') {
            return null;
        }
        if (preg_match('/^\d{1,3}$/D', $text) !== 1) {
            $this->reasons['lead_time'] = 'The lead time is a whole number of days from 0 to ' . self::MOST_DAYS . '.';
        }

        return (int) $text;
    }

    /** @return list<string> each once, in their order */
    private static function numbers(string $text): array
    {
        return array_values(array_unique(preg_split('/[\s,;]+/', $text, -1, PREG_SPLIT_NO_EMPTY) ?: []));
    }

    private function short(OperationField $field, string $text): string
    {
        $longest = self::LONGEST[$field->value] ?? self::LONGEST['title'];
        if (mb_strlen($text) > $longest) {
            $this->reasons[$field->value] = "At most {$longest} characters; this is " . mb_strlen($text) . '.';
        }

        return $text;
    }
}
