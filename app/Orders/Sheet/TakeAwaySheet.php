<?php

declare(strict_types=1);

namespace App\Orders\Sheet;

use App\Orders\Models\ChangeOrder;
use App\Orders\Worksheet\SubjectLines;
use App\Orders\Worksheet\SubjectsOfOrder;
use App\People\Models\Person;
use App\Tables\Table;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;

/** Gives an order, or the lines of some of its items, as a sheet to be edited elsewhere, and remembers how they read. */
final readonly class TakeAwaySheet
{
    public function __construct(private SubjectsOfOrder $subjects) {}

    /**
     * @param  list<string>  $parents  numbers; none: all
     *
     * @throws Refusal when there is nothing in it
     */
    public function of(Person $by, ChangeOrder $order, array $parents): Table
    {
        $subjects = array_values(
            array_filter(
                $this->subjects->of($order),
                static fn(SubjectLines $one): bool => $parents === [] || in_array($one->named->item, $parents, true),
            ),
        );
        if ($subjects === []) {
            throw Refusal::at('parents', "{$order->number} changes none of these.");
        }
        $lines = [];
        foreach ($subjects as $subject) {
            $lines[$subject->named->key()] = array_map(static fn(Line $line): array => $line->texts(), $subject->after->lines);
        }
        $head = OrderHead::of($order);
        $sheet = OrderSheet::query()->create([
            'order_id' => $order->id,
            'person_id' => $by->id,
            'taken_at' => CarbonImmutable::now(),
            'lines' => array_map(static fn(array $some): object => (object) $some, $lines),
            'head' => $head,
        ]);
        $rows = [];
        foreach ($subjects as $subject) {
            foreach ($subject->after as $line) {
                $rows[] = SheetColumns::row($subject->named->item, $subject->named->work(), $line, $sheet->id);
            }
        }

        return new Table(
            $order->number,
            [],
            SheetColumns::all(),
            $rows,
            lists: SheetColumns::lists($subjects) + OrderHead::lists(),
            head: $head,
        );
    }
}
