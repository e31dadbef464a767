<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInStart;
use App\CutIn\Data\CutInSwap;
use App\Requests\Models\ChangeRequest;
use App\Structures\ItemKind;
use App\Structures\Models\Item;
use Orthotaxis\Core\CutIn\Swap;
use Orthotaxis\Core\CutIn\SwapPart;

/** What the planner starts from: what the orders of a request swap, or what it proposes; else the items it affects, as parts that go. */
final readonly class StartReader
{
    public const AT_MOST = 50;

    private const NEVER_STOCKED = [ItemKind::Document, ItemKind::Drawing, ItemKind::Software, ItemKind::Service];

    public function __construct(private PlannedSwaps $planned) {}

    public function read(ChangeRequest $request): CutInStart
    {
        [$readOff, $changes] = $this->planned->of($request);
        $swaps = Swap::all($changes);
        $numbers = [];
        foreach ($swaps as $swap) {
            array_push($numbers, ...$swap->gone, ...array_map(static fn(SwapPart $part): string => $part->item, $swap->come));
        }
        $items = Item::query()->whereIn('number', array_values(array_unique($numbers)))->get()->keyBy('number');
        $isStocked = static fn(string $number): bool => isset($items[$number]) &&
            !in_array($items[$number]->kind, self::NEVER_STOCKED, true);
        $units = $items->map(static fn(Item $item) => $item->unit)->all();
        $told = [];
        foreach ($swaps as $swap) {
            $gone = array_values(array_filter($swap->gone, $isStocked));
            $come = array_values(array_filter($swap->come, static fn(SwapPart $part): bool => $isStocked($part->item)));
            if ($gone !== [] || $come !== []) {
                $told[] = CutInSwap::of(new Swap($gone, $come, $swap->parents), $units);
            }
        }
        if ($told === []) {
            $request->load('items');
            $readOff = 'items';
            $told = $request->items
                ->filter(static fn(Item $item): bool => !in_array($item->kind, self::NEVER_STOCKED, true))
                ->map(static fn(Item $item): CutInSwap => CutInSwap::item($item->number))
                ->values()
                ->all();
        }

        return new CutInStart($readOff, array_slice($told, 0, self::AT_MOST), max(0, count($told) - self::AT_MOST));
    }
}
