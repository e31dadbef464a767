<?php

declare(strict_types=1);

namespace App\Planning\Actions;

use App\Days\Today;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Planning\Events\ItemIntroduced;
use App\Planning\PlanningGateway;
use App\Planning\PlanningSilent;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Refusal;

/** Tells planning of items that it lacks, with what it needs to know of each. One that it has already stays as it has it. */
final readonly class IntroduceItems
{
    public function __construct(private PlanningGateway $planning, private Ledger $ledger) {}

    /**
     * @param  non-empty-list<string>  $numbers
     *
     * @throws Refusal when there is no such item, when planning is silent, or refuses one: with its reason
     */
    public function introduce(Person $by, array $numbers): void
    {
        $items = Item::query()->with('everReleased')->whereIn('number', $numbers)->orderBy('number')->get();
        foreach (array_diff($numbers, $items->pluck('number')->all()) as $missing) {
            throw Refusal::at('items', (new MistypedNumbers())->noSuchItem($missing));
        }
        try {
            $answers = $this->planning->introduce(array_values($items->map(self::told(...))->all()));
        } catch (PlanningSilent $silent) {
            throw Refusal::at('planning', "{$silent->getMessage()} Nothing was introduced.");
        }
        $this->ledger->together(static function () use ($by, $items, $answers): void {
            foreach ($items as $item) {
                if (($answers[$item->number] ?? null) === '') {
                    event(new ItemIntroduced($by->login, $item->number));
                }
            }
        });
        $refused = array_filter($answers, static fn(string $reason): bool => $reason !== '');
        if ($refused !== []) {
            throw Refusal::because(
                array_combine(
                    array_map(static fn(string $number): string => "items.{$number}", array_keys($refused)),
                    array_map(
                        static fn(string $number, string $reason): string => "Planning refused {$number}: {$reason}",
                        array_keys($refused),
                        $refused,
                    ),
                ),
            );
        }
    }

    /**
     * Of some items those that it lacks, before something names them. What it will not have it is left to say when they are named.
     *
     * @param  list<string>  $numbers
     * @return list<string> those that it knows by now
     *
     * @throws PlanningSilent
     */
    public function lacking(string $by, array $numbers): array
    {
        $unknown = $numbers === [] ? [] : $this->planning->unknown($numbers);
        $items = $unknown === [] ? collect() : Item::query()->with('everReleased')->whereIn('number', $unknown)->orderBy('number')->get();
        if ($items->isEmpty()) {
            return [];
        }
        $answers = $this->planning->introduce(array_values($items->map(self::told(...))->all()));
        $known = [];
        foreach ($items as $item) {
            if (($answers[$item->number] ?? null) === '') {
                $known[] = $item->number;
            }
        }
        $this->ledger->together(static function () use ($by, $known): void {
            foreach ($known as $number) {
                event(new ItemIntroduced($by, $number));
            }
        });

        return $known;
    }

    /** @return array<string, string|int|null> */
    private static function told(Item $item): array
    {
        return [
            'number' => $item->number,
            'revision' => $item->inForce(Today::day())->shown->code ?? ($item->everReleased->last()->code ?? ''),
            'title' => $item->title,
            'unit' => $item->unit->value,
            'supply' => $item->supply,
            'lead_time' => $item->lead_time_days,
            'standard_cost' => $item->standard_cost === null ? null : (string) Money::ofTenThousandths($item->standard_cost),
        ];
    }
}
