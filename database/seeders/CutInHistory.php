<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\CutIn\Models\CutIn;
use App\CutIn\Models\CutInOutcome;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\CutIn\Swap;
use Orthotaxis\Core\CutIn\SwapPart;
use Orthotaxis\Core\Quantity\Money;

/** Cut-in days that were chosen long ago, with what the plan said and what became of it: planning cannot be asked about the past. */
final class CutInHistory
{
    private const AT_MOST = 9;

    /** Left over by the plan and in truth, short by the plan and in truth. */
    private const FIGURES = [[40, 52, 0, 0], [12, 12, 0, 6], [0, 18, 4, 0], [25, 20, 0, 0], [60, 110, 0, 2]];

    private int $made = 0;

    /** @param  string  $on  the day on which it cut in */
    public function of(string $request, Swap $swap, string $plant, string $on): void
    {
        $gone = $swap->gone[0] ?? null;
        if ($gone === null || $this->made >= self::AT_MOST) {
            return;
        }
        [$leftPlanned, $left, $shortPlanned, $short] = self::FIGURES[$this->made++ % count(self::FIGURES)];
        $new = $swap->come[0]->item ?? $gone;
        $parts = Item::query()
            ->whereIn('number', [$gone, $new])
            ->get()
            ->keyBy('number');
        $planned = $became = [];
        foreach (array_unique([$gone, $new]) as $number) {
            $item = $parts[$number];
            $cost = Money::ofTenThousandths((int) $item->standard_cost);
            $planned[] = [
                'plant' => $plant,
                'item' => $number,
                'unit' => $item->unit->value,
                'goes' => $number === $gone,
                'left' => (string) ($number === $gone ? $leftPlanned : 0),
                'short' => (string) ($number === $new ? $shortPlanned : 0),
                'disposal' => (string) $cost,
                'penalty' => (string) $cost->plus($cost),
            ];
            $became[] = [
                'item' => $number,
                'left' => (string) ($number === $gone ? $left : 0),
                'short' => (string) ($number === $new ? $short : 0),
            ];
        }
        $chosen = CutIn::query()->create([
            'request_id' => ChangeRequest::query()->where('number', $request)->valueOrFail('id'),
            'asked' => [
                'swaps' => [
                    [
                        'gone' => $swap->gone,
                        'come' => array_map(static fn(SwapPart $part): array => ['item' => $part->item], $swap->come),
                        'parents' => $swap->parents,
                    ],
                ],
            ],
            'chosen_on' => $on,
            'planned' => $planned,
            'to_do' => [],
            'at_plants' => [],
            'reason' => 'Least cost by the plan; agreed with purchasing.',
            'person_id' => Person::query()->where('login', 'mira.okafor')->valueOrFail('id'),
            'chosen_at' => CarbonImmutable::now(),
            'found' => ['total' => (string) Money::zero(), 'least_cost' => $on],
        ]);
        CutInOutcome::query()->insert([
            'cut_in_id' => $chosen->id,
            'plant' => $plant,
            'seen_on' => $on,
            'parts' => json_encode($became, JSON_THROW_ON_ERROR),
        ]);
    }
}
