<?php

declare(strict_types=1);

namespace App\Dossier;

use App\CutIn\Data\CutInOutcomeRow;
use App\CutIn\Models\CutIn;
use App\Dossier\Data\CutInOutcomePage;
use App\Dossier\Data\OrderOutcome;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Quantity\Money;

/** The days on which released orders cut in, held against what became of them: by order, and over a year. */
final readonly class CutInOutcomes
{
    public function year(?int $asked): CutInOutcomePage
    {
        $orders = self::released()
            ->orderByDesc('c.chosen_on')
            ->orderBy('o.number')
            ->get(['c.id', 'c.chosen_on', 'o.number as order', 'o.title', 'r.number as request'])
            // A request that went into several orders cuts in once.
            ->unique('id');
        $years = $orders->map(static fn(object $row): int => (int) substr((string) $row->chosen_on, 0, 4))->unique()->values();
        $year = $asked ?? ($years->first() ?? (int) date('Y'));
        $ofYear = $orders->filter(static fn(object $row): bool => str_starts_with((string) $row->chosen_on, "{$year}-"));
        $chosen = CutIn::query()->with('outcomes')->whereIn('id', $ofYear->pluck('id'))->get()->keyBy('id');
        $planned = $became = Money::zero();
        $ahead = 0;
        $told = [];
        foreach ($ofYear as $row) {
            $parts = CutInOutcomeRow::all($chosen[$row->id]);
            foreach ($parts as $part) {
                if ($part->cost === null) {
                    $ahead++;
                } else {
                    $planned = $planned->plus(Money::parse($part->cost_planned));
                    $became = $became->plus(Money::parse($part->cost));
                }
            }
            $told[] = new OrderOutcome($row->order, $row->title, $row->request, (string) $row->chosen_on, $parts);
        }

        return new CutInOutcomePage(
            currency: config()->string('orthotaxis.currency'),
            year: $year,
            years: $years->all(),
            orders: $told,
            planned: (string) $planned,
            became: (string) $became,
            difference: (string) $became->minus($planned),
            ahead: $ahead,
        );
    }

    /** The ids of the days by which released orders cut in: of each request the last that was chosen. */
    public static function ofReleased(): Builder
    {
        return self::released()->select('c.id');
    }

    private static function released(): Builder
    {
        return DB::table('cut_ins as c')
            ->join('change_requests as r', 'r.id', 'c.request_id')
            ->join('change_order_requests as of', 'of.request_id', 'r.id')
            ->join('change_orders as o', 'o.id', 'of.order_id')
            ->whereIn('o.state', [OrderState::Released->value, OrderState::Closed->value])
            ->whereRaw("c.planned <> '[]'")
            ->whereNotExists(
                static fn(Builder $later): Builder => $later
                    ->from('cut_ins as l')
                    ->whereColumn('l.request_id', 'c.request_id')
                    ->whereColumn('l.id', '>', 'c.id'),
            );
    }
}
