<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInStart;
use App\CutIn\Data\CutInStartPair;
use App\Requests\Models\ChangeRequest;
use App\Structures\ItemKind;
use App\Structures\Models\Item;
use Orthotaxis\Core\CutIn\Swap;

/** What the planner starts from: the parts that the orders of a request swap, else the items it affects, as old parts. */
final readonly class StartReader
{
    public const AT_MOST = 20;

    private const NEVER_STOCKED = [ItemKind::Document, ItemKind::Drawing, ItemKind::Software, ItemKind::Service];

    public function __construct(private PlannedSwaps $planned) {}

    public function read(ChangeRequest $request): CutInStart
    {
        $request->load('items');
        $swaps = Swap::all($this->planned->of($request));
        $pairs =
            $swaps === []
                ? $request->items
                    ->filter(static fn(Item $item): bool => !in_array($item->kind, self::NEVER_STOCKED, true))
                    ->map(static fn(Item $item): CutInStartPair => CutInStartPair::item($item->number))
                    ->all()
                : array_map(CutInStartPair::of(...), $swaps);

        return new CutInStart(array_slice(array_values($pairs), 0, self::AT_MOST));
    }
}
