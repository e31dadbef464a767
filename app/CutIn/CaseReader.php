<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Days\Today;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\CutIn\Expediting;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\Pair;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;

/** Puts the levers to what is wanted and what there is: all that the day to cut in is planned from. */
final readonly class CaseReader
{
    public function __construct(private BasisReader $bases) {}

    /**
     * @param  array<string, mixed>  $question  as CutInQuestion checks it
     * @param  bool  $pegged  whether to tell what the demand is made of
     * @param  bool  $anew  whether to ask planning even if it told a moment ago
     */
    public function read(array $question, bool $pegged = false, bool $anew = false): CutInCase
    {
        $today = Today::day();
        /** @var list<array<string, string|int|null>> $asked */
        $asked = $question['pairs'];
        $items = Item::query()
            ->whereIn('number', [...array_column($asked, 'old'), ...array_column($asked, 'new')])
            ->get()
            ->keyBy('number');
        // Demand follows what is built: kits, scrap, and what only plants add.
        $view = StructureView::asBuilt((string) ($question['plant'] ?? ''));
        $index = StructureIndex::open($view);
        $parts = array_map(
            static fn(array $pair): array => [$items[(string) $pair['old']], $items[(string) $pair['new']]],
            array_values($asked),
        );
        $basis = $this->bases->of($parts, $index, $view->plant, $today, $pegged, $anew);
        $expedite = (int) ($question['expedite_percent'] ?? config()->integer('cut-in.expedite_percent'));
        $reader = new PartReader($basis->supply);
        $pairs = $documents = $keep = [];
        foreach (array_values($asked) as $i => $pair) {
            [$old, $new] = $parts[$i];
            $disposition = Disposition::tryFrom((string) ($pair['disposition'] ?? '')) ?? Disposition::Scrap;
            $pairs[] = new Pair(
                $reader->part(
                    $old,
                    $disposition,
                    self::amount($pair['disposal'] ?? null),
                    $expedite,
                    (int) ($pair['rework_percent'] ?? 0),
                    self::amount($pair['rework_cost'] ?? null),
                ),
                $reader->part($new, Disposition::UseUp, null, $expedite),
                $basis->demand[$i],
                self::quantity($pair['ratio'] ?? null, Quantity::ONE),
                self::expediting($pair),
            );
            $keep[$old->number] = self::quantity($pair['keep'] ?? null, 0);
            $documents = [...$documents, ...$reader->documents($old, 'old'), ...$reader->documents($new, 'new')];
        }
        if ($pairs === []) {
            throw Refusal::at('pairs', 'Name the old part and the new one.');
        }

        [$orders, $straddling] = [array_column($basis->orders, 0), array_column($basis->orders, 1)];

        return new CutInCase(
            question: $question,
            pairs: $pairs,
            pegs: $basis->pegs,
            orders: $orders,
            documents: [...$documents, ...$straddling],
            levers: $this->levers($question, $keep, $today),
            items: $items,
            supply: $basis->supply,
            index: $index,
            plant: $view->plant,
            today: $today,
            expedite: $expedite,
        );
    }

    /**
     * @param  array<string, mixed>  $question
     * @param  array<string, int>  $keep
     */
    private function levers(array $question, array $keep, Day $today): Levers
    {
        $day = static fn(mixed $on): ?int => is_string($on) && $on !== '' ? Day::parse($on)->number() - $today->number() : null;
        $let = $question['not_cancelled'] ?? [];

        return new Levers(
            keep: $keep,
            notCancelled: is_array($let) ? array_values(array_filter($let, is_string(...))) : [],
            approvalDays: (int) ($question['approval_days'] ?? config()->integer('cut-in.approval_days')),
            toolingDay: max(0, $day($question['tooling_on'] ?? null) ?? 0),
            perStraddle: self::amount($question['per_straddling_order'] ?? null) ??
                Money::parse(config()->string('cut-in.per_straddling_order')),
            prescribed: $day($question['prescribed_on'] ?? null),
        );
    }

    /** @param  array<string, mixed>  $pair */
    private static function expediting(array $pair): ?Expediting
    {
        $days = (int) ($pair['sooner_days'] ?? 0);

        return $days === 0 ? null : new Expediting($days, self::amount($pair['sooner_cost'] ?? null) ?? Money::zero());
    }

    private static function amount(mixed $text): ?Money
    {
        return is_string($text) && $text !== '' ? Money::parse($text) : null;
    }

    private static function quantity(mixed $text, int $else): int
    {
        return is_string($text) && $text !== '' ? Quantity::parse($text)->millionths : $else;
    }
}
