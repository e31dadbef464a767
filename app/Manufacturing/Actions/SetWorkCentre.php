<?php

declare(strict_types=1);

namespace App\Manufacturing\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\Manufacturing\Events\WorkCentreAdded;
use App\Manufacturing\Events\WorkCentreSet;
use App\Manufacturing\Models\WorkCentre;
use App\People\Models\Person;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Refusal;

/** Sets up work centres, and what an hour of each costs. */
final readonly class SetWorkCentre
{
    public function __construct(private Ledger $ledger) {}

    /** @throws Refusal when the plant has the code already, whatever its capitals */
    public function add(Person $by, string $plant, string $code, string $name, Money $rate): WorkCentre
    {
        return $this->ledger->together(function () use ($by, $plant, $code, $name, $rate): WorkCentre {
            DB::table('choices')
                ->where(['list' => 'site', 'code' => $plant])
                ->lockForUpdate()
                ->first();
            $there = WorkCentre::query()
                ->where('plant', $plant)
                ->whereRaw('lower(code) = lower(?)', [$code])
                ->value('code');
            if (is_string($there)) {
                throw Refusal::at('code', "{$plant} has a work centre {$there} already.");
            }
            $centre = WorkCentre::query()->create(['plant' => $plant, 'code' => $code, 'name' => $name, 'rate' => $rate->tenThousandths]);
            event(new WorkCentreAdded($by->login, "{$plant} {$code}", $name, (string) $rate));

            return $centre->refresh();
        });
    }

    /** @throws Stale when somebody has changed it since that version */
    public function set(Person $by, string $plant, string $code, string $name, Money $rate, bool $retired, int $version): WorkCentre
    {
        return $this->ledger->together(function () use ($by, $plant, $code, $name, $rate, $retired, $version): WorkCentre {
            $centre = WorkCentre::query()
                ->where(['plant' => $plant, 'code' => $code])
                ->lockForUpdate()
                ->firstOrFail();
            if ($centre->version !== $version) {
                throw new Stale('Somebody has changed it meanwhile.', ['name' => $centre->name]);
            }
            $centre->update(['name' => $name, 'rate' => $rate->tenThousandths, 'retired' => $retired, 'version' => $version + 1]);
            event(new WorkCentreSet($by->login, "{$plant} {$code}", $name, rate: (string) $rate, retired: $retired));

            return $centre;
        });
    }
}
