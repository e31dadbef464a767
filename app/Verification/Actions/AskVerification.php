<?php

declare(strict_types=1);

namespace App\Verification\Actions;

use App\People\Models\Person;
use App\Verification\Jobs\RunVerification;
use App\Verification\Models\Verification;
use App\Verification\Models\VerificationState;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;

/** Has planning's copy read back and compared by a worker. */
final readonly class AskVerification
{
    /** Refused when it is under way already. */
    public function everything(?Person $by = null): void
    {
        DB::transaction(static function () use ($by): void {
            DB::select('SELECT pg_advisory_xact_lock(hashtext(?))', ['planning is verified']);
            $last = Verification::ofEverything();
            if ($last?->state->isUnderWay() === true && $last->asked_at->isAfter(Verification::lost())) {
                throw Refusal::at('verification', 'Planning is being verified already.');
            }
            self::begin(['asked_by' => $by?->id]);
        });
    }

    /** @param  list<string>  $items  numbers */
    public function items(array $items, ?int $order = null): void
    {
        self::begin(['items' => $items, 'order_id' => $order]);
    }

    /** @param  array<string, mixed>  $of */
    private static function begin(array $of): void
    {
        $one = Verification::query()->create(['state' => VerificationState::Waiting, 'asked_at' => CarbonImmutable::now()] + $of);
        RunVerification::dispatch($one->id)->afterCommit();
    }
}
