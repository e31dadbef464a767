<?php

declare(strict_types=1);

namespace App\CutIn\Actions;

use App\CutIn\Models\CutIn;
use App\CutIn\Models\CutInOutcome;
use App\CutIn\OutcomeReader;
use App\Days\Today;
use Orthotaxis\Core\Refusal;

/**
 * Holds a chosen day against what planning tells once it has come, plant by plant, once each. While planning is silent it waits for the
 * first day on which it answers.
 */
final readonly class LookBackAtCutIn
{
    public function __construct(private OutcomeReader $reader) {}

    /** @return int at how many plants */
    public function __invoke(CutIn $chosen): int
    {
        $today = (string) Today::day();
        $seen = $chosen->outcomes->pluck('plant')->all();
        $due = array_filter(
            array_unique(array_column($chosen->planned, 'plant')),
            static fn(string $plant): bool => $chosen->day($plant) <= $today && !in_array($plant, $seen, true),
        );
        if ($due === []) {
            return 0;
        }
        try {
            $found = $this->reader->today($chosen) ?? [];
        } catch (Refusal) {
            // An item is gone, or something contains itself: nothing true can be said.
            return 0;
        }
        $found = array_intersect_key($found, array_flip($due));
        foreach ($found as $plant => $parts) {
            CutInOutcome::query()->insertOrIgnore([
                'cut_in_id' => $chosen->id,
                'plant' => $plant,
                'seen_on' => $today,
                'parts' => json_encode($parts, JSON_THROW_ON_ERROR),
            ]);
        }

        return count($found);
    }
}
