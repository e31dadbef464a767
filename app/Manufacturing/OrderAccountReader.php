<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Data\PlantAccount;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use Orthotaxis\Core\Manufacturing\Accountability;

/** Which plants build the items that an order names, and what each would still have to take over on its day. */
final readonly class OrderAccountReader
{
    public function __construct(private OrderReader $orders, private BuildsOfOrder $ordered, private PlantStructures $plants) {}

    /** @return list<PlantAccount> by item and plant */
    public function read(ChangeOrder $order): array
    {
        $core = $this->orders->toCore($order);
        $built = $this->ordered->changed($order, $core);

        return array_map(
            static fn(BuiltAt $one, Accountability $of): PlantAccount => PlantAccount::of(
                $one,
                $of,
                $core->followsLater($one->item->number, $one->plant),
            ),
            $built,
            $this->plants->account($built, BuildsOfOrder::day($order)),
        );
    }
}
