<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

/** What a step of a path can depend on. */
enum Fact: string
{
    case OneTimeCost = 'one_time_cost';
    case YearlyCost = 'yearly_cost';
    case Priority = 'priority';
    /** Of the reports that it answers. */
    case Severity = 'severity';
    case Reason = 'reason';
    case Plant = 'plant';
    case Category = 'category';
    /** Kinds of what it changes: engineering, manufacturing, data, document. */
    case SubjectKind = 'subject_kind';
    /** What items become: revise, new_number, retire and so on. */
    case Outcome = 'outcome';
    /** The class of the change: whether what gets a new number can be used for the old, and the other way round. */
    case Interchange = 'interchange';

    public function isAmount(): bool
    {
        return $this === self::OneTimeCost || $this === self::YearlyCost;
    }
}
