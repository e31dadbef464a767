<?php

declare(strict_types=1);

namespace App\Packages;

use App\Orders\Contents\ContentKinds;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Sheets\SheetWords;
use App\Structures\Models\Content;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\ItemData\SetField;
use Orthotaxis\Core\Release\ChangedPart;
use Orthotaxis\Core\Text\CsvRow;

/** What differed on the items of an order: before and after it, and revision by revision since the first. */
final readonly class ChangeLists
{
    private const COLUMNS = ['item', 'structure', 'plant', 'revision', 'from', 'order', 'change', 'position', 'field', 'old', 'new'];

    public function __construct(private OrderReader $orders, private ContentKinds $kinds) {}

    /** @return iterable<string, string> contents by the name of their file */
    public function files(ChangeOrder $order, SheetWords $words): iterable
    {
        $works = $this->orders->toCore($order)->works();
        $own = [];
        foreach ($works as $work) {
            array_push(
                $own,
                ...self::rows(
                    $work->subject,
                    $work->base->becomes(),
                    (string) $order->effective_on,
                    $order->number,
                    ChangedPart::of($work),
                ),
            );
        }
        yield from self::both('before-and-after', $words->say('package.before_after'), $order, $own, $words);
        yield from self::both('change-list', $words->say('package.changes'), $order, $this->cumulative($order, $works), $words);
    }

    /**
     * @param  list<Work>  $works
     * @return list<list<string>>
     */
    private function cumulative(ChangeOrder $order, array $works): array
    {
        $rows = [];
        foreach ($works as $work) {
            $subject = $work->subject;
            $kind = $this->kinds->of($subject->kind);
            $contents = $this->contents($subject, $order);
            $read = $kind->read(array_values($contents->map(static fn(Content $one): int => $one->id)->all()));
            $before = $kind->none();
            foreach ($contents as $at => $one) {
                $after = $read[$one->id] ?? $kind->none();
                // The first revision is what there was; a list of all of it is no list of changes.
                if ($at > 0) {
                    array_push(
                        $rows,
                        ...self::rows(
                            $subject,
                            $one->code,
                            (string) $one->effective_from,
                            (string) ($one->getAttribute('order_number') ?? ''),
                            ChangedPart::between($before, $after),
                        ),
                    );
                }
                $before = $after;
            }
        }

        return $rows;
    }

    /** @return Collection<int, Content> released ones of the subject up to the order, the oldest first */
    private function contents(Subject $subject, ChangeOrder $order): Collection
    {
        $some = Content::query()
            ->select('contents.*')
            ->addSelect(['order_number' => ChangeOrder::query()->select('number')->whereColumn('change_orders.id', 'contents.order_id')])
            ->join('items', 'items.id', '=', 'contents.item_id')
            ->where(['items.number' => $subject->item, 'contents.kind' => $subject->kind, 'contents.plant' => $subject->plant])
            ->whereNotIn('contents.status', ['in_work', 'in_review'])
            ->where('contents.released_at', '<=', $order->released_at);
        $some->orderBy('contents.effective_from')->orderBy('contents.id');
        /** @var Collection<int, Content> $contents */
        $contents = $some->get();

        return $contents->values();
    }

    /**
     * @param  list<ChangedPart>  $parts
     * @return list<list<string>>
     */
    private static function rows(Subject $subject, string $revision, string $from, string $order, array $parts): array
    {
        $rows = [];
        foreach ($parts as $part) {
            foreach ($part->fields as [$field, $old, $new]) {
                $rows[] = [
                    $subject->item,
                    $subject->kind,
                    $subject->plant,
                    $revision,
                    $from,
                    $order,
                    $part->action->value,
                    $part->called,
                    $field === SetField::VALUE ? '' : str_replace('_', ' ', $field),
                    $old,
                    $new,
                ];
            }
        }

        return $rows;
    }

    /**
     * @param  list<list<string>>  $rows
     * @return iterable<string, string>
     */
    private static function both(string $name, string $title, ChangeOrder $order, array $rows, SheetWords $words): iterable
    {
        $heads = array_map(
            static fn(string $one): string => in_array($one, ['revision', 'from', 'order'], true)
                ? $words->say($one)
                : $words->say("package.{$one}"),
            self::COLUMNS,
        );
        $csv = [$heads, ...$rows];
        yield "{$name}.csv" => implode('', array_map(CsvRow::of(...), $csv));
        foreach ($rows as $at => $row) {
            $rows[$at][1] = $words->say("package.kind.{$row[1]}");
            $rows[$at][4] = $row[4] === '' ? '' : $words->day(Day::parse($row[4]));
            $rows[$at][6] = $words->say("package.action.{$row[6]}");
        }
        yield "{$name}.html" => view('package-list', [
            'title' => $title,
            'order' => $order->number,
            'about' => $order->title,
            'heads' => $heads,
            'rows' => $rows,
            'words' => $words,
        ])->render();
    }
}
