<?php

declare(strict_types=1);

namespace App\ChangeNotices\Events;

use App\Ledger\Deed;

/** A distribution list is added, or says something else. */
final readonly class DistributionListSet extends Deed
{
    public const NAME = 'distribution_list.set';

    /**
     * @param  list<string>  $plants
     * @param  list<string>  $products
     * @param  list<string>  $categories
     * @param  list<string>  $recipients
     */
    public function __construct(
        string $by,
        string $of,
        public string $list,
        public array $plants,
        public array $products,
        public array $categories,
        public array $recipients,
        public bool $acknowledge,
        public ?int $days,
        public bool $retired,
    ) {
        parent::__construct($by, $of);
    }
}
