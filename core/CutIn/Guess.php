<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** What a plan takes for granted and could be wrong in. */
enum Guess: string
{
    /** What is wanted of all parts. */
    case Demand = 'demand';
    case Approval = 'approval';
    case Tooling = 'tooling';
    case Straddling = 'straddling';
    case Stock = 'stock';
    /** What is on order. */
    case Receipts = 'receipts';
    case LeadTime = 'lead_time';
    case Cost = 'cost';
    case Disposal = 'disposal';
    case Penalty = 'penalty';
    case CancelFees = 'cancel_fees';

    /** @return list<self> those of single parts */
    public static function ofParts(): array
    {
        return [self::Stock, self::Receipts, self::LeadTime, self::Cost, self::Disposal, self::Penalty, self::CancelFees];
    }
}
