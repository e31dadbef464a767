<?php

declare(strict_types=1);

namespace App\Orders\Transfer;

use App\Orders\Models\ChangeOrder;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\Subjects\NamedWork;
use App\Orders\Transfer\Data\TransferPage;
use App\Orders\Transfer\Data\TransferRow;
use App\Orders\Transfer\Data\TransferSource;
use App\Orders\Worksheet\SubjectLines;
use App\Orders\Worksheet\SubjectsOfOrder;
use App\People\Models\Person;
use App\Structures\Models\Item;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Transfer\Carried;
use Orthotaxis\Core\Transfer\Transfer;

/** Shows what the edits of an order would be in sibling structures, one by one, before anything is done. */
final readonly class TransferReader
{
    public function __construct(private SubjectsOfOrder $subjects, private SiblingStructures $siblings) {}

    /**
     * @param  ChangeOrder  $into  which gets them
     * @param  list<Way>  $ways
     */
    public function of(Person $by, ChangeOrder $order, ChangeOrder $into, array $ways): TransferPage
    {
        $sources = $this->sources($order);
        $carried = $this->carried($sources, $into, $ways);
        $rows = $numbers = [];
        foreach ($ways as $way) {
            foreach ($carried[$way->key()] as $one) {
                $rows[] = TransferRow::of($way, $one);
            }
            $numbers[] = $way->target->item;
        }
        foreach ($sources as $source) {
            $numbers[] = $source->named->item;
        }
        $titles = Item::query()->whereIn('number', array_unique($numbers))->pluck('title', 'number')->all();
        $offered = SiblingStructures::offered(array_values(array_map(static fn(SubjectLines $one): NamedWork => $one->named, $sources)));

        return new TransferPage(
            order: $order->number,
            order_title: $order->title,
            into: $into->number,
            may_transfer: self::refusal($by, $into),
            sources: array_map(
                static fn(SubjectLines $one): TransferSource => new TransferSource(
                    item: $one->named->item,
                    title: $titles[$one->named->item] ?? '',
                    work: $one->named->work(),
                    changes: count($one->changes()->changes()),
                    siblings: $offered[$one->named->key()] ?? [],
                ),
                array_values($sources),
            ),
            rows: $rows,
            log: TransferRecord::query()
                ->with(['from', 'into', 'person'])
                ->where('from_id', $order->id)
                ->orWhere('into_id', $order->id)
                ->orderByDesc('id')
                ->get()
                ->map(Data\TransferLog::of(...))
                ->all(),
        );
    }

    /** @return array<string, SubjectLines> what the order changes, by key */
    public function sources(ChangeOrder $order): array
    {
        $sources = [];
        foreach ($this->subjects->of($order) as $subject) {
            if (count($subject->changes()->changes()) > 0) {
                $sources[$subject->named->key()] = $subject;
            }
        }

        return $sources;
    }

    /**
     * @param  array<string, SubjectLines>  $sources
     * @param  list<Way>  $ways
     * @return array<string, list<Carried>> by way
     *
     * @throws Refusal where the order does nothing to what edits are to come from
     */
    public function carried(array $sources, ChangeOrder $into, array $ways): array
    {
        $siblings = $this->siblings->of($into, $ways);
        $carried = $from = [];
        foreach ($ways as $way) {
            $source =
                $sources[$way->source->key()] ??
                throw Refusal::at('to', "{$way->source->order} changes nothing of {$way->source->subject()}.");
            $from[$way->source->key()] ??= Transfer::from($source->changes());
            $carried[$way->key()] = $from[$way->source->key()]->to($siblings[$way->target->key()]);
        }

        return $carried;
    }

    /** @return ?string why the person cannot do it now */
    private static function refusal(Person $by, ChangeOrder $into): ?string
    {
        if (!$into->state->allowsEdits()) {
            return "{$into->number} is not open for revision.";
        }

        return OrderPolicy::refusal(OrderAct::Plan, $by, $into) === null ? null : OrderPolicy::refusal(OrderAct::Revise, $by, $into);
    }
}
