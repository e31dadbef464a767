<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

/** The columns of a file of what plants build: see docs/formats.md. The names of an operation and of a line are those of their fields. */
enum BuildColumn: string
{
    case Plant = 'plant';
    case Parent = 'parent';
    /** What the row is: see BuildRecord. */
    case Record = 'record';
    case Batch = 'batch';
    case Operation = 'operation';
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
    case Find = 'find';
    case Component = 'component';
    case Revision = 'revision';
    case Quantity = 'quantity';
    case Unit = 'unit';
    case Designators = 'designators';
    case Notes = 'notes';
    case Scrap = 'scrap';
    case TakesOver = 'takes_over';
    /** For so much of the engineering line, where another item comes in its place. */
    case OldQuantity = 'old_quantity';
    case NotModelled = 'not_modelled';
    case Phantom = 'phantom';
    /** It comes out of the operation. */
    case ByProduct = 'by_product';
    case FirstDay = 'first_day';
    case LastDay = 'last_day';
    /** The identity that survives revisions, of an operation or a line. */
    case Key = 'key';

    /** @return list<string> without these a file says nothing */
    public static function needed(): array
    {
        return [self::Plant->value, self::Parent->value, self::Record->value];
    }
}
