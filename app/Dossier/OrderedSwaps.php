<?php

declare(strict_types=1);

namespace App\Dossier;

use App\CutIn\PlannedSwaps;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\OrderReader;
use App\Requests\Models\ChangeRequest;
use App\Structures\StructureReader;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Structure\Structure;

/** What the orders of a request do to the items that they revise. */
final readonly class OrderedSwaps implements PlannedSwaps
{
    public function __construct(private StructureReader $structures) {}

    public function of(ChangeRequest $request): array
    {
        $rows = new Collection(ChangeOrder::ofRequest($request)->with('items.edits')->get()->flatMap->items);
        $before = $this->structures->ofRevisions(array_values(array_filter($rows->pluck('base_revision_id')->all(), is_int(...))));

        return $rows
            ->map(static function (OrderItem $row) use ($before): Comparison {
                $base = $before[$row->base_revision_id] ?? new Structure();

                return Comparison::of($base, OrderReader::after($base, OrderReader::activeEdits($row))[0]);
            })
            ->values()
            ->all();
    }
}
