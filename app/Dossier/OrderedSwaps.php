<?php

declare(strict_types=1);

namespace App\Dossier;

use App\CutIn\PlannedSwaps;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Requests\Models\ChangeRequest;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Manufacturing\ManufacturingChanges;

/** What the orders of a request do, or, before there is one, what it proposes, to the items that they revise, and to what plants build. */
final readonly class OrderedSwaps implements PlannedSwaps
{
    public function __construct(private OrderReader $orders) {}

    public function of(ChangeRequest $request): array
    {
        $swaps = $built = [];
        $orders = ChangeOrder::ofRequest($request)->get();
        $proposed = $orders->isEmpty() ? ChangeOrder::proposedBy($request) : null;
        foreach ($this->orders->many($proposed === null ? $orders : new Collection([$proposed])) as $order) {
            foreach ($order->works() as $work) {
                $changes = $work->changes();
                if ($changes instanceof Comparison) {
                    $swaps[] = [$work->subject->item, $changes];
                } elseif ($changes instanceof ManufacturingChanges) {
                    $built[] = [$work->subject->item, $changes->lines];
                }
            }
        }

        return [$proposed === null ? 'order' : 'proposal', [...$swaps, ...$built]];
    }
}
