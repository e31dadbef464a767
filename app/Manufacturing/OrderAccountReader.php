<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Data\PlantAccount;
use App\Orders\Models\ChangeOrder;

/** Which plants build the items that an order names, and what each would still have to take over on its day. */
final readonly class OrderAccountReader
{
    public function __construct(private BuildsOfOrder $ordered, private PlantStructures $plants) {}

    /** @return list<PlantAccount> by item and plant */
    public function read(ChangeOrder $order): array
    {
        $built = $this->ordered->of($order);
        $accounts = $this->plants->account($built, BuildsOfOrder::day($order));

        return array_map(PlantAccount::of(...), $built, $accounts);
    }
}
