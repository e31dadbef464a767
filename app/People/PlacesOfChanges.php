<?php

declare(strict_types=1);

namespace App\People;

use Orthotaxis\Core\Rights\Place;

/** What changes and items concern, for roles that are held to some plants or categories: known on a floor above. */
interface PlacesOfChanges
{
    /**
     * @param  list<string>  $numbers  of reports, requests, orders, their change notices and tasks, and items
     * @return array<string, Place> by number; of a number that means nothing there is none
     */
    public function of(array $numbers): array;
}
