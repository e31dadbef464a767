<?php

declare(strict_types=1);

namespace App\Documents;

use App\People\Models\Person;
use App\Structures\Models\Item;
use App\Structures\Models\NamedOrder;
use Orthotaxis\Core\Refusal;

/** Who works on the coming revision of an item, and may bring and take away what belongs to it. Whoever keeps orders says it. */
interface RevisionWork
{
    /**
     * The order under which the person works on it, held for the rest of the transaction; null when nothing of the item is
     * released and no order has it yet.
     *
     * @throws Refusal at the file, when others work on it, or nobody
     */
    public function of(Person $by, Item $item): ?NamedOrder;

    /**
     * @param  ?int  $order  under which the draft was brought; null before any order had the item
     *
     * @throws Refusal at the file, when the person may not take a draft away now
     */
    public function mayTakeAway(Person $by, Item $item, ?int $order): void;

    /**
     * @param  list<int>  $items  ids
     *
     * @throws Refusal at the place, while one of them is judged, or revised by others
     */
    public function mustBeFree(Person $by, array $items, string $place): void;
}
