<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

/** The fields of an operation that can be changed and compared, in the order people read them. */
enum OperationField: string
{
    case Number = 'number';
    case Title = 'title';
    case WorkCentre = 'work_centre';
    case SetUp = 'set_up';
    case Run = 'run';
    case Per = 'per';
    case Supplier = 'supplier';
    case Cost = 'cost';
    case LeadTime = 'lead_time';
    case Instruction = 'instruction';
    case Tools = 'tools';
    case Inspection = 'inspection';
    case Specification = 'specification';

    public function inWords(): string
    {
        return match ($this) {
            self::SetUp => 'set-up minutes',
            self::Run => 'run minutes',
            self::Per => 'run per',
            default => str_replace('_', ' ', $this->value),
        };
    }
}
