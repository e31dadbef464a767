<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Documents\Models\ItemDocument;
use App\Ledger\Ledger;
use App\Orders\Events\DocumentAdopts;
use App\Orders\Events\DocumentAdoptsNoMore;
use App\Orders\Events\LeftAsItIs;
use App\Orders\Events\LeftNoMore;
use App\Orders\JudgedOrders;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\LeftBehindRecord;
use App\People\Models\Person;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Change\Belonging;
use Orthotaxis\Core\Change\BelongingKind;
use Orthotaxis\Core\Change\BelongingState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Refusal;

/** Decides what becomes of what belongs to the items of an order, of many at once: all of it or nothing. */
final readonly class DecideBelongings
{
    public function __construct(private JudgedOrders $orders, private PutItemOnOrder $items, private Ledger $ledger) {}

    /**
     * @param  list<array{item: string, kind: string, number: string, fault: string}>  $rows  as they were on screen
     * @param  BelongingState  $becomes  open: what was decided is taken back
     * @param  string  $reason  why it is left; empty otherwise
     *
     * @throws Refusal at every row that is not so any more, or of which this cannot become
     */
    public function __invoke(Person $by, string $number, array $rows, BelongingState $becomes, string $reason, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $rows, $becomes, $reason, $version): void {
            $order = ChangeOrder::hold($number);
            $order->mustBeAt($version);
            PlanOrder::mustBeOpen($order);
            $known = [];
            $core = $this->orders->of($order);
            foreach ($core->belongings as $one) {
                $known[self::key($one->item, $one->kind->value, $one->number, $one->fault)] = $one;
            }
            $chosen = $refused = [];
            foreach ($rows as $at => $row) {
                $one = $known[self::key($row['item'], $row['kind'], $row['number'], $row['fault'])] ?? null;
                $fault = $one === null ? "{$row['number']} is not found so any more." : self::fault($one, $becomes);
                $fault === '' ? ($chosen[$at] = $one) : ($refused["rows.{$at}"] = $fault);
            }
            if ($refused !== []) {
                throw Refusal::because($refused);
            }
            foreach (array_filter($chosen) as $at => $one) {
                match (true) {
                    $becomes === BelongingState::Along => $this->takeAlong($by, $order, $one, "rows.{$at}"),
                    $becomes === BelongingState::Adopts => self::adopt($by, $order, $one, $core->item($one->item)->becomes(), "rows.{$at}"),
                    $becomes === BelongingState::Left => self::leave($by, $order, $one, $reason),
                    $one->state === BelongingState::Adopts => self::adoptNoMore($by, $order, $one),
                    default => self::leaveNoMore($by, $order, $one),
                };
            }
            $order->refresh()->update(['version' => $order->version + 1]);
        });
    }

    private static function fault(Belonging $one, BelongingState $becomes): string
    {
        return match (true) {
            $becomes === BelongingState::Open && $one->state === BelongingState::Along && $one->kind === BelongingKind::Model
                => "A model of {$one->number} is brought under this order. Remove that file.",
            $becomes === BelongingState::Open && $one->state === BelongingState::Along
                => "{$one->number} is on this order. Remove it from the affected items.",
            $becomes === BelongingState::Open => $one->isOpen() ? "Nothing was decided on {$one->number}." : '',
            !$one->isOpen() => "On {$one->number} it is decided already. Take that back first.",
            $becomes === BelongingState::Along && $one->kind === BelongingKind::Model
                => "Upload the new model of {$one->number} on its page: it goes along then.",
            $becomes === BelongingState::Along && $one->kind === BelongingKind::Line
                => "{$one->number} is on this order already: change the line.",
            $becomes === BelongingState::Adopts && $one->kind !== BelongingKind::Document
                => "{$one->number} is no document that describes {$one->item}.",
            default => '',
        };
    }

    private function takeAlong(Person $by, ChangeOrder $order, Belonging $one, string $place): void
    {
        try {
            $this->items->put($by, $order->number, $one->number, Outcome::Revise, null, $order->refresh()->version);
        } catch (Refusal $refusal) {
            throw Refusal::at($place, $refusal->getMessage());
        }
    }

    private static function adopt(Person $by, ChangeOrder $order, Belonging $one, ?string $becomes, string $place): void
    {
        $link = self::link($one)->with('adoptingOrder')->sole();
        if ($link->adoptingOrder !== null && $link->adopting_order_id !== $order->id) {
            throw Refusal::at($place, "{$one->number} adopts under {$link->adoptingOrder->number} already.");
        }
        $link->update(['adopting_order_id' => $order->id]);
        event(new DocumentAdopts($by->login, $order->number, $one->number, $one->item, $becomes));
    }

    private static function adoptNoMore(Person $by, ChangeOrder $order, Belonging $one): void
    {
        self::link($one)
            ->where('adopting_order_id', $order->id)
            ->update(['adopting_order_id' => null]);
        event(new DocumentAdoptsNoMore($by->login, $order->number, $one->number, $one->item));
    }

    private static function leave(Person $by, ChangeOrder $order, Belonging $one, string $reason): void
    {
        LeftBehindRecord::query()->create([
            ...self::ids($order, $one),
            'kind' => $one->kind,
            'fault' => $one->fault,
            'reason' => $reason,
            'person_id' => $by->id,
            'left_at' => CarbonImmutable::now(),
        ]);
        event(new LeftAsItIs($by->login, $order->number, $one->item, other: $one->number, found: $one->fault, reason: $reason));
    }

    private static function leaveNoMore(Person $by, ChangeOrder $order, Belonging $one): void
    {
        LeftBehindRecord::query()
            ->where(self::ids($order, $one))
            ->where('kind', $one->kind)
            ->where('fault', $one->fault)
            ->whereNull('withdrawn_at')
            ->update(['withdrawn_at' => CarbonImmutable::now()]);
        event(new LeftNoMore($by->login, $order->number, $one->item, $one->number));
    }

    /** @return array{order_id: int, item_id: int, other_id: int} */
    private static function ids(ChangeOrder $order, Belonging $one): array
    {
        $ids = Item::query()
            ->whereIn('number', [$one->item, $one->number])
            ->pluck('id', 'number');

        return ['order_id' => $order->id, 'item_id' => (int) $ids[$one->item], 'other_id' => (int) $ids[$one->number]];
    }

    /** @return Builder<ItemDocument> */
    private static function link(Belonging $one): Builder
    {
        return ItemDocument::query()->whereRelation('item', 'number', $one->item)->whereRelation('document', 'number', $one->number);
    }

    private static function key(string $item, string $kind, string $number, string $fault): string
    {
        return "{$item} {$kind} {$number} {$fault}";
    }
}
