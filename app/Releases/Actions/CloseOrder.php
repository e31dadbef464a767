<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Orders\Actions\MoveOrder;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Releases\Models\Handover;
use App\Tasks\Models\ChangeTask;
use Orthotaxis\Core\Refusal;

/** Closes an order when planning has taken all of it, and nothing is left to do. */
final readonly class CloseOrder
{
    public function __construct(private MoveOrder $orders) {}

    public function __invoke(Person $by, string $number, int $version): void
    {
        $this->orders->close($by, $number, $version, static function (ChangeOrder $order): void {
            $open = Handover::query()->where('order_id', $order->id)->where('state', '!=', 'taken')->orderBy('id')->pluck('name');
            if ($open->isNotEmpty()) {
                throw Refusal::at('handover', "Planning has not accepted all of {$open->implode(', ')}.");
            }
            $tasks = ChangeTask::openOf($order->number)->orderBy('id')->pluck('number');
            if ($tasks->isNotEmpty()) {
                throw Refusal::at('tasks', "Not done yet: {$tasks->implode(', ')}.");
            }
        });
    }
}
