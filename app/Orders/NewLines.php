<?php

declare(strict_types=1);

namespace App\Orders;

use App\Structures\Models\Item;
use Illuminate\Support\Str;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Edit\AddLine;

/** Lines that an order adds: each gets its identity, and is counted in the unit of its component where nobody says otherwise. */
final readonly class NewLines
{
    /**
     * @template T of Edit
     *
     * @param  non-empty-list<T>  $edits
     * @return non-empty-list<T|AddLine>
     */
    public static function completed(array $edits): array
    {
        $wanting = array_filter($edits, static fn(Edit $edit): bool => $edit instanceof AddLine && ($edit->fields()['unit'] ?? '') === '');
        $units =
            $wanting === []
                ? []
                : Item::query()
                    ->toBase()
                    ->whereIn('number', array_map(static fn(Edit $edit): string => $edit->fields()['component'] ?? '', $wanting))
                    ->pluck('unit', 'number')
                    ->all();

        return array_map(static function (Edit $edit) use ($units): Edit {
            if (!($edit instanceof AddLine)) {
                return $edit;
            }
            $unit = $units[$edit->fields()['component'] ?? ''] ?? null;

            return new AddLine(
                (string) Str::uuid7(),
                ($edit->fields()['unit'] ?? '') === '' && is_string($unit) ? ['unit' => $unit] + $edit->fields() : $edit->fields(),
            );
        }, $edits);
    }
}
