<?php

declare(strict_types=1);

namespace App\Dossier\Sheet;

use App\Orders\Sheet\OrderHead;
use App\Orders\Sheet\SheetColumns;
use App\Tables\Table;
use App\Vocabulary\ChoiceList;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\LineField;

/** The columns of a sheet from which an order is raised: see docs/formats.md. */
final readonly class OrderSheetColumns
{
    /** What is done to the line of a row; empty where the row only names an item. */
    public const ACT = 'act';

    public const ACTS = ['add', 'change', 'remove'];

    /** @return list<string> */
    public static function all(): array
    {
        return [SheetColumns::PARENT, SheetColumns::STRUCTURE, self::ACT, ...SheetColumns::fields()];
    }

    /** Without rows, and with what its cells may say. */
    public static function empty(): Table
    {
        return new Table(
            'New order',
            [],
            self::all(),
            [],
            lists: [
                SheetColumns::STRUCTURE => self::structures(),
                self::ACT => self::ACTS,
                LineField::Unit->value => array_column(Unit::cases(), 'value'),
                ...array_fill_keys([LineField::NotModelled->value, LineField::Phantom->value, LineField::ByProduct->value], ['yes']),
                ...OrderHead::lists(),
            ],
            head: OrderHead::none(),
        );
    }

    /** @return list<string> "engineering", "manufacturing:Weir" */
    public static function structures(): array
    {
        return [
            Subject::ENGINEERING,
            ...array_map(static fn(string $plant): string => Subject::MANUFACTURING . ":{$plant}", ChoiceList::Site->codes()),
        ];
    }
}
