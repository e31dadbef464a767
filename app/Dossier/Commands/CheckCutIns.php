<?php

declare(strict_types=1);

namespace App\Dossier\Commands;

use App\CutIn\Actions\CheckCutIn;
use App\CutIn\Models\CutIn;
use Illuminate\Console\Command;
use Illuminate\Database\Query\Builder;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;

/** Whether the days that were chosen are still good: of every request that waits for its order, and of every order that is not out yet. */
final class CheckCutIns extends Command
{
    protected $signature = 'cut-ins:check';

    protected $description = 'Plan chosen cut-in days again with what planning tells now.';

    public function handle(CheckCutIn $check): int
    {
        $checked = $bad = 0;
        $chosen = CutIn::query()
            ->whereIn('id', CutIn::query()->selectRaw('max(id)')->groupBy('request_id'))
            ->whereIn(
                'request_id',
                static fn(Builder $requests): Builder => $requests
                    ->from('change_requests')
                    ->whereNotIn('state', [RequestState::Rejected->value, RequestState::Gathered->value])
                    ->select('id'),
            )
            ->whereNotIn(
                'request_id',
                static fn(Builder $orders): Builder => $orders
                    ->from('change_order_requests')
                    ->join('change_orders', 'change_orders.id', 'order_id')
                    ->whereIn('change_orders.state', [
                        ...array_map(static fn(OrderState $state): string => $state->value, OrderState::ended()),
                        OrderState::Released->value,
                    ])
                    ->select('request_id'),
            );
        foreach ($chosen->orderBy('id')->get() as $one) {
            $found = $check($one);
            $checked += $found === null ? 0 : 1;
            $bad += $found === null || $found->fault === '' ? 0 : 1;
        }
        $this->info("{$checked} checked, {$bad} not good any more.");

        return self::SUCCESS;
    }
}
