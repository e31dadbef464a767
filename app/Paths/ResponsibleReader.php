<?php

declare(strict_types=1);

namespace App\Paths;

use App\Paths\Data\ResponsibleRow;
use App\Paths\Models\Responsible;
use App\Structures\Models\Category;
use App\Vocabulary\ChoiceList;

/** Everything that somebody may be responsible for, with who is. */
final readonly class ResponsibleReader
{
    public const CATEGORY = 'category';

    public const PLANT = 'plant';

    /** @return list<ResponsibleRow> plants first */
    public static function all(): array
    {
        $who = Responsible::query()->get()->keyBy(static fn(Responsible $one): string => "{$one->field} {$one->code}");
        $rows = [];
        foreach ([self::PLANT => ChoiceList::Site->names(), self::CATEGORY => self::categories()] as $field => $names) {
            foreach ($names as $code => $name) {
                $rows[] = new ResponsibleRow($field, (string) $code, $name, $who["{$field} {$code}"]->who ?? '');
            }
        }

        return $rows;
    }

    /** @return array<string, string> names by code */
    private static function categories(): array
    {
        /** @var array<string, string> */
        return Category::query()->orderBy('name')->pluck('name', 'code')->all();
    }
}
