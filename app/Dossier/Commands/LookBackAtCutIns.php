<?php

declare(strict_types=1);

namespace App\Dossier\Commands;

use App\CutIn\Actions\LookBackAtCutIn;
use App\CutIn\Models\CutIn;
use App\Dossier\CutInOutcomes;
use Illuminate\Console\Command;

/** What became of the cut-ins of released orders, once their day has come. */
final class LookBackAtCutIns extends Command
{
    protected $signature = 'cut-ins:look-back';

    protected $description = 'Hold cut-in days that have come against what planning tells now.';

    public function handle(LookBackAtCutIn $look): int
    {
        $plants = 0;
        foreach (CutIn::query()->with('outcomes')->whereIn('id', CutInOutcomes::ofReleased())->orderBy('id')->get() as $chosen) {
            $plants += $look($chosen);
        }
        $this->info("{$plants} plants looked at.");

        return self::SUCCESS;
    }
}
