<?php

declare(strict_types=1);

namespace App\Economics;

use App\Economics\Data\FigureSource;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Impact\DispositionCost;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\Money;

/** What was said of a request in place of what is computed, and what is usual in the categories of its items. */
final readonly class Figures
{
    /**
     * @param  array<string, array{choice: ?string, amount: ?int, said: FigureSource}>  $said  by kind and subject
     * @param  array<string, array{string, ?int}>  $usual  by category and kind of supply
     */
    private function __construct(private array $said, private array $usual) {}

    public static function of(ChangeRequest $request): self
    {
        $said = [];
        foreach (
            DB::table('figures as f')
                ->join('people as p', 'p.id', '=', 'f.person_id')
                ->where('request_id', $request->id)
                ->orderBy('f.id')
                ->get(['f.*', 'p.name'])
            as $row
        ) {
            $said["{$row->kind} {$row->subject}"] = [
                'choice' => $row->choice,
                'amount' => $row->amount,
                'said' => new FigureSource($row->id, $row->name, CarbonImmutable::parse($row->set_at)->toIso8601String(), $row->reason),
            ];
        }
        $usual = [];
        foreach (
            DB::table('category_dispositions')
                ->whereIntegerInRaw('category_id', $request->items->pluck('category_id')->unique()->all())
                ->get()
            as $row
        ) {
            $usual["{$row->category_id} {$row->kind}"] = [$row->disposition, $row->per_unit];
        }

        return new self($said, $usual);
    }

    /** @return array{DispositionCost, 'usual'|'category'|'said', ?FigureSource} */
    public function disposition(Item $item, SupplyKind $kind, Money $unitValue): array
    {
        $said = $this->said["disposition {$item->number} {$kind->value}"] ?? null;
        [$choice, $amount] =
            $said === null ? $this->usual["{$item->category_id} {$kind->value}"] ?? [null, null] : [$said['choice'], $said['amount']];
        $cost = DispositionCost::usual(Disposition::tryFrom($choice ?? '') ?? Disposition::UseUp, $unitValue);

        return [
            $amount === null ? $cost : new DispositionCost($cost->disposition, Money::ofTenThousandths($amount)),
            $said !== null ? 'said' : ($choice !== null ? 'category' : 'usual'),
            $said['said'] ?? null,
        ];
    }

    /** @return array{?int, ?FigureSource} */
    public function amount(FigureKind $kind, string $subject): array
    {
        $said = $this->said["{$kind->value} {$subject}"] ?? null;

        return [$said['amount'] ?? null, $said['said'] ?? null];
    }

    /** @return list<array{string, Money, FigureSource}> what is paid for, how much, who said so */
    public function oneTime(): array
    {
        $found = [];
        foreach ($this->said as $key => $one) {
            if (str_starts_with($key, 'one_time ')) {
                $found[] = [substr($key, 9), Money::ofTenThousandths((int) $one['amount']), $one['said']];
            }
        }

        return $found;
    }
}
