<?php

declare(strict_types=1);

namespace App\Orders\Replacing;

use App\Orders\Models\ChangeOrder;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Replacement\Incoming;
use Orthotaxis\Core\Replacement\Replacement;

/** A replacement as people write it, with the items it names. */
final readonly class AskedReplacement
{
    /** More than so many never take the place of one. */
    private const MOST = 20;

    /** @param  array<string, Item>  $new  by number, in the order in which they come */
    private function __construct(public Replacement $replacement, public Item $old, public array $new, public Day $effective) {}

    /**
     * @param  string  $new  "200-0041:2, 200-0043": numbers, each with how many take the place of one; empty: it goes, and nothing comes
     * @param  string  $from  the first day of the new; empty: with the revision
     *
     * @throws Refusal at old, new or from
     */
    public static function read(ChangeOrder $order, string $old, string $new, string $from): self
    {
        $parts = array_map(trim(...), $new === '' ? [] : explode(',', $new));
        if (count($parts) > self::MOST) {
            throw Refusal::at('new', 'At most ' . self::MOST . ' components take the place of one.');
        }
        $ratios = [];
        foreach ($parts as $part) {
            [$number, $ratio] = [...explode(':', $part, 2), '1'];
            if (isset($ratios[$number])) {
                throw Refusal::at('new', "{$number} comes twice. Name it once, with how many of it.");
            }
            $ratios[$number] = Quantity::parse($ratio, 'new');
        }
        $items = Item::query()
            ->with(['released', 'everReleased'])
            ->whereIn('number', [$old, ...array_map(strval(...), array_keys($ratios))])
            ->get()
            ->keyBy('number');
        $named = static fn(string $number, string $place): Item => $items[$number] ??
            throw Refusal::at($place, (new MistypedNumbers())->noSuchItem($number));
        $goes = $named($old, 'old');
        $coming = $come = [];
        foreach ($ratios as $number => $ratio) {
            $item = $named((string) $number, 'new');
            if ($item->released === null && $item->everReleased->isNotEmpty()) {
                throw Refusal::at('new', "{$number} is retired.");
            }
            $coming[$item->number] = $item;
            $come[] = new Incoming($item->number, $item->unit, $ratio);
        }
        $effective = ReplacementReader::effective($order);
        $day = $from === '' ? null : Day::parse($from, 'from');
        if ($day?->isBefore($effective) === true) {
            throw Refusal::at('from', "The new revisions hold from {$effective} on. Choose that day or a later one.");
        }

        return new self(new Replacement($goes->number, $goes->unit, $come, $day), $goes, $coming, $effective);
    }
}
