<?php

declare(strict_types=1);

namespace App\Planning;

use Orthotaxis\Core\Impact\Supply;

/** What planning answers about some items. Its items and ours are not always the same. */
final readonly class SupplyAnswer
{
    /**
     * @param  list<Supply>  $rows  of the items that were asked about
     * @param  list<string>  $unknown  numbers that were asked about and that planning does not know
     * @param  list<string>  $strangers  numbers it told of without being asked: rows of these are left out
     */
    public function __construct(public array $rows, public array $unknown = [], public array $strangers = []) {}
}
