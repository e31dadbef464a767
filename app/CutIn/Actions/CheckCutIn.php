<?php

declare(strict_types=1);

namespace App\CutIn\Actions;

use App\CutIn\CutInReader;
use App\CutIn\Data\CutInDayRow;
use App\CutIn\Models\CutIn;
use App\CutIn\Models\CutInCheck;
use App\Days\Today;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Refusal;

/**
 * Plans a chosen day again with what planning tells now. It is not good any more when it is not possible, or when it costs more than one
 * percent more than the best day. When planning is silent, or the day has passed, nothing is said: the last word stands.
 */
final readonly class CheckCutIn
{
    private const PERCENT = 100;

    public function __construct(private CutInReader $reader) {}

    public function __invoke(CutIn $chosen): ?CutInCheck
    {
        if ($chosen->chosen_on < (string) Today::day()) {
            return null;
        }
        try {
            $page = $this->reader->plan($chosen->asked, true);
        } catch (Refusal $refusal) {
            // What was asked cannot be asked any more: an item is gone, something contains itself.
            return $this->keep($chosen, $refusal->getMessage(), null);
        }
        if ($page->fault !== null) {
            return null;
        }
        $days = array_column($page->days, null, 'on');
        $day = $days[$chosen->chosen_on] ?? null;
        $best = $page->best->least_cost;

        return $this->keep($chosen, self::fault($day, $best === null ? null : $days[$best]), $best);
    }

    private static function fault(?CutInDayRow $day, ?CutInDayRow $best): string
    {
        if ($day === null) {
            return '';
        }
        if (!$day->possible) {
            return 'The day is not possible any more.';
        }
        $more = $best === null ? 0 : Money::parse($day->total)->minus(Money::parse($best->total))->tenThousandths;

        return $best !== null && $more * self::PERCENT > abs(Money::parse($best->total)->tenThousandths)
            ? 'It costs ' . Money::ofTenThousandths($more) . ' more than the best day.'
            : '';
    }

    private function keep(CutIn $chosen, string $fault, ?string $best): CutInCheck
    {
        return CutInCheck::query()->updateOrCreate(
            ['cut_in_id' => $chosen->id],
            ['checked_at' => CarbonImmutable::now(), 'fault' => $fault, 'best_on' => $best],
        );
    }
}
