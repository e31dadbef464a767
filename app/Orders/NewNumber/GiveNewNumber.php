<?php

declare(strict_types=1);

namespace App\Orders\NewNumber;

use App\Documents\Models\ItemDocument;
use App\Documents\Models\ItemFile;
use App\Ledger\Ledger;
use App\Orders\Actions\PlanOrder;
use App\Orders\Events\NewNumberGiven;
use App\Orders\Events\NewNumberTakenBack;
use App\Orders\Models\ChangeOrder;
use App\Orders\NewLines;
use App\Orders\Replacing\ReplacementReader;
use App\Orders\Strokes\HeldSubjects;
use App\Orders\Strokes\MakeStroke;
use App\Orders\Strokes\SubjectEdits;
use App\Orders\Subjects\NamedWork;
use App\People\Models\Person;
use App\Structures\Actions\AddItem;
use App\Structures\Models\Item;
use App\Structures\Models\Succession;
use App\Structures\StructureReader;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Str;
use Orthotaxis\Core\Edit\CopyLines;
use Orthotaxis\Core\Refusal;

/**
 * Copies an item on an order to a new number, which succeeds it: with its lines, what is known of it, its drawings and documents, as
 * wanted. The new number is on the order, to be released with it; which occurrences take it is what a replacement says.
 */
final readonly class GiveNewNumber
{
    public function __construct(
        private AddItem $items,
        private StructureReader $structures,
        private MakeStroke $strokes,
        private Ledger $ledger,
    ) {}

    /**
     * @return string the new number
     *
     * @throws Refusal at what cannot be so
     */
    public function give(Person $by, string $number, string $itemNumber, AskedNumber $asked, int $version): string
    {
        return $this->ledger->together(function () use ($by, $number, $itemNumber, $asked, $version): string {
            $order = self::held($number, $version);
            $old =
                Item::query()
                    ->with(['category', 'released'])
                    ->where('number', $itemNumber)
                    ->whereIn('id', $order->items()->select('item_id'))
                    ->first() ?? throw Refusal::at('item', "{$itemNumber} is not on {$number}.");
            if ($old->released === null) {
                throw Refusal::at('item', "{$itemNumber} was never released: there is nothing yet that a new number could succeed.");
            }
            $documents = self::documents($old, $asked->documents);
            $new = $this->copy($by, $order, $old, $asked->title, $asked);
            $copies = [];
            foreach ($documents as $document) {
                $copied = $asked->documents[$document->number];
                $shown = $copied ? $this->drawn($by, $order, $document, $asked) : $document;
                ItemDocument::query()->create(['item_id' => $new->id, 'document_id' => $shown->id]);
                if ($copied) {
                    $copies[$document->number] = $shown->number;
                }
            }
            $this->named($by, $order, $old, $new, array_values($copies), $asked->lines);
            event(
                new NewNumberGiven(
                    $by->login,
                    $number,
                    item: $itemNumber,
                    successor: $new->number,
                    interchangeable: $asked->interchangeable,
                    documents: $copies,
                ),
            );

            return $new->number;
        });
    }

    /**
     * The new number does not succeed the old one, and is off the order with all that was edited of it; as a number in work it stays, for
     * numbers are not given twice.
     */
    public function takeBack(Person $by, string $number, string $successor, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $successor, $version): void {
            $order = self::held($number, $version);
            $row =
                Succession::query()
                    ->with('item')
                    ->where('order_id', $order->id)
                    ->whereRelation('successor', 'number', $successor)
                    ->first() ?? throw Refusal::at('item', "{$successor} is no new number of {$number}.");
            $order->items()->where('item_id', $row->successor_id)->delete();
            $row->delete();
            $order->update(['version' => $order->version + 1]);
            event(new NewNumberTakenBack($by->login, $number, $row->item->number, $successor));
        });
    }

    private static function held(string $number, int $version): ChangeOrder
    {
        $order = ChangeOrder::hold($number);
        $order->mustBeAt($version);
        PlanOrder::mustBeOpen($order);

        return $order;
    }

    /**
     * @param  array<string, bool>  $asked  by number
     * @return Collection<int, Item>
     */
    private static function documents(Item $item, array $asked): Collection
    {
        $documents = Item::query()
            ->with(['category', 'released'])
            ->whereIn('number', array_map(strval(...), array_keys($asked)))
            ->whereIn('id', ItemDocument::query()->where('item_id', $item->id)->select('document_id'))
            ->orderBy('number')
            ->get();
        $others = array_diff(array_map(strval(...), array_keys($asked)), $documents->pluck('number')->all());

        return $others === [] ? $documents : throw Refusal::at('documents', implode(', ', $others) . " does not describe {$item->number}.");
    }

    private function copy(Person $by, ChangeOrder $order, Item $old, string $title, AskedNumber $asked): Item
    {
        /** @var array<string, string> $attributes */
        $attributes = $old->getAttribute('attributes');
        $number = ($this->items)($by, [
            'title' => $title,
            'kind' => $old->kind,
            'category' => $old->category->code,
            'unit' => $old->unit,
            'supply' => $old->supply,
            'sold' => $old->sold,
            'attributes' => $attributes,
            'standard_cost' => $asked->data ? $old->standard_cost : null,
            'lead_time_days' => $asked->data ? $old->lead_time_days : null,
            'supplier' => $asked->data ? $old->supplier : null,
            'mass' => $asked->data ? $old->mass : null,
            'material' => $asked->data ? $old->material : null,
        ]);
        $new = Item::query()->where('number', $number)->firstOrFail();
        Succession::query()->create([
            'item_id' => $old->id,
            'successor_id' => $new->id,
            'interchangeable' => $asked->interchangeable,
            'order_id' => $order->id,
        ]);

        return $new;
    }

    /** A drawing under a new number, with its files as drafts of the order. */
    private function drawn(Person $by, ChangeOrder $order, Item $document, AskedNumber $asked): Item
    {
        $copy = $this->copy($by, $order, $document, $document->title, $asked);
        $files = ItemFile::query()
            ->where('item_id', $document->id)
            ->where('revision_id', $document->released?->id)
            ->whereNotNull('revision_id')
            ->get();
        ItemFile::query()->insert(
            $files
                ->map(
                    static fn(ItemFile $file): array => [
                        'id' => (string) Str::uuid7(),
                        'item_id' => $copy->id,
                        'order_id' => $order->id,
                        'role' => $file->role->value,
                        'person_id' => $by->id,
                        'brought_at' => CarbonImmutable::now(),
                    ] + $file->only(['name', 'media_type', 'bytes', 'sha256', 'file_id']),
                )
                ->all(),
        );

        return $copy;
    }

    /** @param  list<string>  $drawings  new numbers */
    private function named(Person $by, ChangeOrder $order, Item $old, Item $new, array $drawings, bool $lines): void
    {
        $works = HeldSubjects::of(
            $by,
            $order,
            array_map(static fn(string $one): NamedWork => new NamedWork($order->number, $one), [$new->number, ...$drawings]),
            true,
        );
        $edits = $lines ? CopyLines::of($this->structures->ofContent($old->released?->id), ReplacementReader::effective($order)) : [];
        if ($edits !== []) {
            $work = $works[(new NamedWork($order->number, $new->number))->subject()];
            $this->strokes->of(
                $by,
                $order,
                [new SubjectEdits($work, NewLines::completed($edits))],
                "{$new->number}: lines of {$old->number}",
                static fn(int $of, int $at, string $field, string $reason): array => ["lines.{$at}" => $reason],
            );
        }
    }
}
