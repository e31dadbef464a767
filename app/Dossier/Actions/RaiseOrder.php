<?php

declare(strict_types=1);

namespace App\Dossier\Actions;

use App\Dossier\CarriedOver;
use App\Dossier\Events\OrderRaised;
use App\Ledger\Ledger;
use App\Numbers\NumberRange;
use App\Orders\Actions\SubordinateOrder;
use App\Orders\Models\ChangeOrder;
use App\People\Ability;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use App\Structures\NamedItems;
use App\Vocabulary\Priority;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Refusal;

/** Raises an order: of one or several approved requests, from which everything is carried over, or directly for a small matter. */
final readonly class RaiseOrder
{
    public function __construct(private NumberRange $numbers, private SubordinateOrder $subordinate, private Ledger $ledger) {}

    public function from(Person $by, string $number): ChangeOrder
    {
        $request = ChangeRequest::query()->where('number', $number)->firstOrFail();

        return $this->raise($by, $request->title, '', Priority::from($request->priority), [], [$number]);
    }

    /**
     * @param  string  $description  what it is about and why; what requests say comes after it
     * @param  list<string>  $items  numbers, besides those that the requests name
     * @param  list<string>  $requests  numbers
     * @param  string  $parent  number of the order to which it is subordinate; empty: to none
     *
     * @throws Refusal when an item, a request or the parent is none that can be meant
     */
    public function raise(
        Person $by,
        string $title,
        string $description,
        Priority $priority,
        array $items,
        array $requests,
        string $parent = '',
    ): ChangeOrder {
        return $this->ledger->together(function () use ($by, $title, $description, $priority, $items, $requests, $parent): ChangeOrder {
            $held = self::hold($requests);
            $ids = NamedItems::ids($items);
            $order = ChangeOrder::query()->create([
                'number' => $this->numbers->next('order'),
                'title' => $title,
                'description' => $description,
                'priority' => $priority->value,
                'author_id' => $by->id,
                'raised_at' => CarbonImmutable::now(),
            ]);
            $named = Item::query()->with('released')->whereIn('id', $ids)->orderBy('number')->get();
            $withLines = CarriedOver::withLines($named);
            $order
                ->items()
                ->createMany(
                    $named->map(
                        static fn(Item $item): array => ['item_id' => $item->id, 'outcome' => CarriedOver::outcome($item, $withLines)],
                    ),
                );
            event(new OrderRaised($by->login, $order->number, $requests));
            foreach ($held as $request) {
                CarriedOver::into($by, $order, $request);
            }
            $order->save();
            $order->refresh();
            $by->mustKeepTo(Ability::RaiseOrder, $order->number, $requests === [] ? 'items' : 'requests');
            if ($parent !== '') {
                $this->subordinate->put($by, $order->number, $parent, together: false, version: $order->version);
            }

            return $order->refresh();
        });
    }

    /**
     * All in one order, so that two who raise at once take turns.
     *
     * @param  list<string>  $numbers
     * @return Collection<int, ChangeRequest>
     */
    private static function hold(array $numbers): Collection
    {
        $held = ChangeRequest::query()->whereIn('number', $numbers)->orderBy('id')->lockForUpdate()->get();
        $unknown = array_diff($numbers, $held->pluck('number')->all());

        return $unknown === [] ? $held : throw Refusal::at('requests', 'There is no request ' . implode(', ', $unknown) . '.');
    }
}
