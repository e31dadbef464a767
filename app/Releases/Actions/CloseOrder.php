<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Orders\Actions\MoveOrder;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Releases\Models\Handover;
use Orthotaxis\Core\Refusal;

/** Closes an order when planning has taken all of it. */
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
        });
    }
}
