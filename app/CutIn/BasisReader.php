<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInDocument;
use App\Planning\ExposureReader;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\Cache;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\NodeSupply;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\Requirements;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * Asks planning about all that is above the old parts, and nets the demand down to them. What came of it is kept for a few
 * minutes, as long as the structures are the same: a lever moved asks nobody about thousands of items, and adds up nothing
 * anew. Whoever wants to know what planning says now asks for it.
 */
final readonly class BasisReader
{
    public function __construct(private ExposureReader $exposure) {}

    /**
     * @param  list<array{Item, Item}>  $pairs  old and new
     * @param  string  $plant  as which the structures are told
     * @param  bool  $pegged  whether to tell what the demand is made of
     * @param  bool  $anew  whether to ask planning even if it told a moment ago
     */
    public function of(array $pairs, StructureIndex $index, string $plant, Day $today, bool $pegged, bool $anew): Basis
    {
        $parts = [];
        foreach ($pairs as [$old, $new]) {
            array_push($parts, $old->id, $new->id);
        }
        $key = hash('sha256', json_encode([(string) $today, $parts, $plant, $index->state()], JSON_THROW_ON_ERROR));
        $kept = $pegged || $anew ? null : self::kept("cut-in-basis-{$key}");
        if ($kept instanceof Basis) {
            return $kept;
        }
        $days = config()->integer('cut-in.days');
        $around = $made = [];
        foreach ($pairs as [$old]) {
            array_push($around, ...$index->around($old->id, $today, $days));
            array_push($made, ...$index->users($old->id));
        }
        $items = PlannedItem::among(array_values(array_unique([...array_map($index->positions->item(...), $around), ...$parts])));
        $known = $anew ? null : self::kept("known-supply-{$key}");
        if (!($known instanceof KnownSupply)) {
            $known = KnownSupply::ask(
                $this->exposure,
                $items,
                $today,
                array_values(array_unique($parts)),
                array_values(array_unique($made)),
            );
            self::keep("known-supply-{$key}", $known);
        }
        $supply = [];
        foreach ($items as $id => $item) {
            $supply[$index->positions->of($id)] = $known->supply($id) ?? new NodeSupply(leadDays: $item->leadDays);
        }
        $demand = $pegs = $orders = [];
        foreach ($pairs as [$old]) {
            $requirements = Requirements::of($index->adjacency, $index->positions->of($old->id), $today->number(), $days, $supply, $pegged);
            $demand[] = $requirements->byDay();
            $pegs[] = $requirements->pegs;
            foreach (array_unique($requirements->parents) as $position) {
                $orders += self::workOrders($known, $items[$index->positions->item($position)], $today);
            }
        }
        self::keep("cut-in-basis-{$key}", new Basis($demand, $orders, $known->ofParts()));

        return new Basis($demand, $orders, $known, $pegs);
    }

    /** @return array<string, array{OpenOrder, CutInDocument}> */
    private static function workOrders(KnownSupply $known, PlannedItem $item, Day $today): array
    {
        $orders = [];
        foreach ($known->rows($item->number) as $row) {
            if ($row->kind === SupplyKind::WorkOrder) {
                $first = $known->day($row) - $item->leadDays;
                $orders["straddles {$row->document}"] = [
                    new OpenOrder($row->document, $first, $known->day($row)),
                    new CutInDocument(
                        document: $row->document,
                        kind: $row->kind->value,
                        item: $item->number,
                        quantity: (string) Quantity::ofMillionths($known->quantity($row, $item->unit)),
                        unit: $item->unit->value,
                        first: (string) $today->plusDays($first),
                        due: $row->due?->__toString(),
                        status: $row->status,
                        cancel_fee: null,
                        role: 'straddles',
                    ),
                ];
            }
        }

        return $orders;
    }

    private static function kept(string $key): ?object
    {
        $kept = config()->integer('orthotaxis.planning.keep_seconds') === 0 ? null : Cache::get($key);
        $value = is_string($kept) ? unserialize((string) gzuncompress((string) base64_decode($kept, true))) : null;

        return is_object($value) ? $value : null;
    }

    /** As text: caches that are tables of a database hold no bytes. */
    private static function keep(string $key, object $value): void
    {
        $seconds = config()->integer('orthotaxis.planning.keep_seconds');
        if ($seconds > 0) {
            Cache::put($key, base64_encode((string) gzcompress(serialize($value), 1)), $seconds);
        }
    }
}
