<?php

declare(strict_types=1);

namespace App\Economics;

/** What somebody may say of a request in place of what is computed. */
enum FigureKind: string
{
    /** What is done with one kind of supply of an item. Subject: item number and kind of supply. */
    case Disposition = 'disposition';
    /** Something that is paid once. Subject: what for. */
    case OneTime = 'one_time';
    /** What is paid once by the answer of a specialist. Subject: the number of the question. */
    case Answered = 'answered';
    /** What one unit of an item costs more. Subject: item number. */
    case Recurring = 'recurring';
    /** How many of a product are wanted a year. Subject: item number. */
    case Demand = 'demand';
}
