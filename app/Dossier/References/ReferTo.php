<?php

declare(strict_types=1);

namespace App\Dossier\References;

use App\Dossier\Events\ReferenceAdded;
use App\Dossier\Events\ReferenceRemoved;
use App\Ledger\Ledger;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;

/** Lets a change refer to a record of another process, or no longer. */
final readonly class ReferTo
{
    private const CHANGES = ['problem_reports', 'change_requests', 'change_orders'];

    public function __construct(private Ledger $ledger) {}

    /** @throws Refusal when it does so already */
    public function add(Person $by, string $change, string $kind, string $number, string $address): RecordReference
    {
        self::mustBeThere($change);

        return $this->ledger->together(static function () use ($by, $change, $kind, $number, $address): RecordReference {
            DB::select('SELECT pg_advisory_xact_lock(hashtext(?))', ["references {$change}"]);
            if (
                RecordReference::query()
                    ->where(['change' => $change, 'kind' => $kind, 'number' => $number])
                    ->exists()
            ) {
                throw Refusal::at('number', "{$change} refers to {$number} already.");
            }
            $reference = RecordReference::query()->create([
                'change' => $change,
                'kind' => $kind,
                'number' => $number,
                'address' => $address,
                'person_id' => $by->id,
                'made_at' => CarbonImmutable::now(),
            ]);
            event(new ReferenceAdded($by->login, $change, $kind, $number, $address));

            return $reference;
        });
    }

    public function remove(Person $by, string $change, int $id): void
    {
        $this->ledger->together(static function () use ($by, $change, $id): void {
            $reference = RecordReference::query()->where('change', $change)->lockForUpdate()->findOrFail($id);
            $reference->delete();
            event(new ReferenceRemoved($by->login, $change, $reference->kind, $reference->number));
        });
    }

    /** Ends with 404 when there is no such change. */
    public static function mustBeThere(string $change): void
    {
        foreach (self::CHANGES as $table) {
            if (DB::table($table)->where('number', $change)->exists()) {
                return;
            }
        }
        abort(404);
    }
}
