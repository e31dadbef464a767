<?php

declare(strict_types=1);

namespace App\Dossier\Actions;

use App\CutIn\Models\CutIn;
use App\Days\Today;
use App\Dossier\Events\OrderRaised;
use App\Dossier\Events\RequestOrdered;
use App\Economics\Figures;
use App\Ledger\Ledger;
use App\Numbers\NumberRange;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use App\Structures\Models\StructureLine;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Refusal;

/** Turns an approved request into an order. Everything is carried over; nothing is typed again. */
final readonly class RaiseOrder
{
    public function __construct(private NumberRange $numbers, private Ledger $ledger) {}

    public function from(Person $by, string $number): ChangeOrder
    {
        return $this->ledger->together(function () use ($by, $number): ChangeOrder {
            $request = ChangeRequest::hold($number);
            if (!$request->state->mayBecome(RequestState::Ordered)) {
                throw Refusal::at(
                    'request',
                    $request->state === RequestState::Ordered
                        ? 'This request has an order already.'
                        : 'Only an approved request becomes an order.',
                );
            }
            $order = ChangeOrder::query()->create([
                'number' => $this->numbers->next('order'),
                'title' => $request->title,
                'description' => trim($request->description . "\n\n" . $request->finding),
                'priority' => $request->priority,
                // The day chosen while the request was assessed is carried over; it may have passed meanwhile.
                'effective_on' => self::chosenDay($request),
                'author_id' => $by->id,
                'raised_at' => CarbonImmutable::now(),
            ]);
            $order->requests()->attach($request->id);
            $request->load('items.released');
            $withLines = StructureLine::query()
                ->whereIn('content_id', $request->items->map(static fn(Item $item): ?int => $item->released?->id)->filter())
                ->distinct()
                ->pluck('content_id')
                ->flip();
            $figures = Figures::of($request);
            $order->items()->createMany(
                $request->items->map(
                    static fn(Item $item): array => [
                        'item_id' => $item->id,
                        'disposition' => self::disposition($figures, $item),
                        // What has a structure, or no release yet, is proposed for a new revision; the coordinator decides.
                        'outcome' => $item->released === null || $withLines->has($item->released->id) ? Outcome::Revise : Outcome::Keep,
                    ],
                ),
            );
            $request->update(['state' => RequestState::Ordered, 'version' => $request->version + 1]);
            event(new OrderRaised($by->login, $order->number, $number));
            event(new RequestOrdered($by->login, $number, $order->number));

            return $order->refresh();
        });
    }

    /** What was said of the stock while the request was assessed, or is usual in the category; undecided where it is neither. */
    private static function disposition(Figures $figures, Item $item): ?Disposition
    {
        [$cost, $from] = $figures->disposition($item, SupplyKind::Stock, Money::zero());

        return $from === 'usual' ? null : $cost->disposition;
    }

    private static function chosenDay(ChangeRequest $request): ?string
    {
        $on = CutIn::query()->where('request_id', $request->id)->orderByDesc('id')->value('chosen_on');

        return is_string($on) && $on >= (string) Today::day() ? $on : null;
    }
}
