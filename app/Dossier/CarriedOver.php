<?php

declare(strict_types=1);

namespace App\Dossier;

use App\CutIn\Models\CutIn;
use App\Days\Today;
use App\Dossier\Events\RequestOrdered;
use App\Dossier\Proposals\ProposedEdits;
use App\Economics\Figures;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use App\Structures\Models\StructureLine;
use App\Vocabulary\Priority;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Refusal;

/** What an order takes over from an approved request, so that nothing is typed again; what the order says already stays as it is. */
final readonly class CarriedOver
{
    /**
     * @param  ChangeOrder  $order  held
     * @param  ChangeRequest  $request  held
     *
     * @throws Refusal when the request is not approved, or has an order
     */
    public static function into(Person $by, ChangeOrder $order, ChangeRequest $request): void
    {
        if (!$request->state->mayBecome(RequestState::Ordered)) {
            throw Refusal::at(
                'request',
                $request->state === RequestState::Ordered
                    ? "{$request->number} has an order already."
                    : "{$request->number} is not approved: only an approved request becomes an order, or a part of one.",
            );
        }
        $order->requests()->attach($request->id);
        self::items($order, $request);
        ProposedEdits::into($order, $request);
        $order->description = self::joined($order->description, self::said($request, $order));
        // The day chosen while the request was assessed is carried over; it may have passed meanwhile.
        $order->effective_on ??= self::chosenDay($request);
        $order->priority = self::higher($order->priority, $request->priority);
        $request->update(['state' => RequestState::Ordered, 'version' => $request->version + 1]);
        event(new RequestOrdered($by->login, $request->number, $order->number));
    }

    /** All that a request says; with its number before it where the order is not its own. */
    private static function said(ChangeRequest $request, ChangeOrder $order): string
    {
        $said = trim($request->description . "\n\n" . $request->finding);

        return $order->description === '' ? $said : "From {$request->number}, {$request->title}: {$said}";
    }

    private static function joined(string $before, string $said): string
    {
        return trim($before . "\n\n" . $said);
    }

    private static function higher(string $one, string $other): string
    {
        return Priority::from($other)->rank() < Priority::from($one)->rank() ? $other : $one;
    }

    private static function items(ChangeOrder $order, ChangeRequest $request): void
    {
        $there = $order->items()->pluck('item_id')->flip()->all();
        $order->items()->createMany(array_values(array_diff_key(self::rows($request), $there)));
    }

    /**
     * What a request says of its items, as an order carries it over.
     *
     * @return array<int, array{item_id: int, disposition: ?Disposition, outcome: Outcome}> by item
     */
    public static function rows(ChangeRequest $request): array
    {
        $request->load('items.released');
        $figures = Figures::of($request);
        $withLines = self::withLines($request->items);

        return $request->items
            ->keyBy('id')
            ->map(
                static fn(Item $item): array => [
                    'item_id' => $item->id,
                    'disposition' => self::disposition($figures, $item),
                    'outcome' => self::outcome($item, $withLines),
                ],
            )
            ->all();
    }

    /**
     * What has a structure, or no release yet, is proposed for a new revision; the coordinator decides.
     *
     * @param  array<int, true>  $withLines  as withLines gives it
     */
    public static function outcome(Item $item, array $withLines): Outcome
    {
        return $item->released === null || isset($withLines[$item->released->id]) ? Outcome::Revise : Outcome::Keep;
    }

    /**
     * @param  Collection<int, Item>  $items  with what is released of them
     * @return array<int, true> contents that have lines, by id
     */
    public static function withLines(Collection $items): array
    {
        $contents = StructureLine::query()
            ->whereIn('content_id', $items->map(static fn(Item $item): ?int => $item->released?->id)->filter())
            ->distinct()
            ->pluck('content_id')
            ->all();

        return array_fill_keys($contents, true);
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
