<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

/** The fields of a structure line that can be changed and compared, in the order people read them. */
enum LineField: string
{
    case Find = 'find';
    case Component = 'component';
    case Revision = 'revision';
    case Quantity = 'quantity';
    case Unit = 'unit';
    case Designators = 'designators';
    case Notes = 'notes';
    case Operation = 'operation';
    case Scrap = 'scrap';
    case TakesOver = 'takes_over';
    case NotModelled = 'not_modelled';
    case Phantom = 'phantom';
    /** It comes out of the operation and does not go into the item: trimmings, offcuts, returned carriers. */
    case ByProduct = 'by_product';
    case FirstDay = 'first_day';
    case LastDay = 'last_day';

    /** @return list<self> what engineering declares of a line; the others are the plant's */
    public static function ofEngineering(): array
    {
        return array_values(
            array_filter(
                self::cases(),
                static fn(self $field): bool => !in_array($field, [self::Operation, self::Scrap, self::TakesOver, self::ByProduct], true),
            ),
        );
    }

    public function inWords(): string
    {
        return str_replace('_', ' ', $this->value);
    }
}
