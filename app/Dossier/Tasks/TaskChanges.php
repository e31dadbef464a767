<?php

declare(strict_types=1);

namespace App\Dossier\Tasks;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Problems\Models\ProblemReport;
use App\Requests\Models\ChangeRequest;
use App\Tasks\ChangesOfTasks;
use App\Tasks\Data\EditableItem;
use App\Tasks\WorkOfTasks;
use App\Vocabulary\ChoiceList;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;

/** What tasks want to know of reports, requests and orders. */
final readonly class TaskChanges implements ChangesOfTasks
{
    public function hold(string $number): void
    {
        self::find($number)::hold($number);
    }

    public function holdOpen(string $number): void
    {
        $change = self::find($number);
        $held = $change::hold($number);
        $hasEnded = match (true) {
            $held instanceof ProblemReport => !$held->isOpen(),
            // A request that is in an order goes on with it.
            $held instanceof ChangeRequest => in_array($held->state, [RequestState::Rejected, RequestState::Gathered], true),
            default => in_array($held->state, [...OrderState::ended(), OrderState::Proposed], true),
        };
        if ($hasEnded) {
            throw Refusal::at('change', "{$number} has ended.");
        }
    }

    public function edited(string $number, array $subjects): array
    {
        if ($subjects === []) {
            return [];
        }
        $order = ChangeOrder::orders()->where('number', $number)->first() ?? throw Refusal::at('edits', "{$number} is no order.");
        $rows = $order->items()->with('item:id,number')->get()->keyBy('item.number');
        $items = $refused = [];
        foreach ($subjects as $at => $subject) {
            $row = $rows[$subject->item] ?? null;
            $fault = match (true) {
                $row === null => "{$subject->item} is not on {$number}.",
                !in_array($subject->kind, [Subject::ENGINEERING, Subject::MANUFACTURING, Subject::ITEM_DATA], true),
                ($subject->kind === Subject::MANUFACTURING) !== ($subject->plant !== '')
                    => 'Orders do no such work.',
                $subject->plant !== '' && !ChoiceList::Site->knows($subject->plant) => "There is no plant {$subject->plant}.",
                !$row->outcome->mayChange($subject->kind) => "{$subject} stays as it is under {$number}.",
                default => null,
            };
            if ($fault !== null) {
                $refused["edits.{$at}"] = $fault;
            }
            $items[] = (int) $row?->item_id;
        }

        return $refused === [] ? $items : throw Refusal::because($refused);
    }

    public function work(string $number): WorkOfTasks
    {
        $order = ChangeOrder::orders()->where('number', $number)->first();

        return match ($order?->state) {
            OrderState::Planning, OrderState::Revising => new WorkOfTasks(self::editable($order->id), ['review', 'release']),
            OrderState::InReview, OrderState::Signed => new WorkOfTasks(mayWait: ['release']),
            default => new WorkOfTasks(),
        };
    }

    /** @return list<EditableItem> */
    private static function editable(int $order): array
    {
        return array_values(
            OrderItem::query()
                ->with('item:id,number,title')
                ->where('order_id', $order)
                ->where('outcome', '!=', Outcome::Keep)
                ->orderBy('id')
                ->get()
                ->map(
                    static fn(OrderItem $row): EditableItem => new EditableItem(
                        $row->item->number,
                        $row->item->title,
                        $row->outcome->value,
                    ),
                )
                ->all(),
        );
    }

    public function title(string $number): string
    {
        return self::find($number)->title;
    }

    private static function find(string $number): ProblemReport|ChangeRequest|ChangeOrder
    {
        return ProblemReport::query()->where('number', $number)->first() ??
            (ChangeRequest::query()->where('number', $number)->first() ?? ChangeOrder::query()->where('number', $number)->firstOrFail());
    }
}
