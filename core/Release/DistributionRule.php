<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Release;

/**
 * Who is told of which changes once they are released: everybody of a list, where the change touches one of its plants, one of its
 * products and one of its categories. What a list leaves open it does not ask about.
 */
final readonly class DistributionRule
{
    /**
     * @param  list<string>  $plants  codes
     * @param  list<string>  $products  numbers of what is sold
     * @param  list<string>  $categories  codes; those below them count too
     * @param  list<int>  $people  ids
     * @param  bool  $acknowledge  whether they say that they have read it
     * @param  ?int  $days  working days in which they say so
     */
    public function __construct(
        public string $name,
        public array $plants,
        public array $products,
        public array $categories,
        public array $people,
        public bool $acknowledge,
        public ?int $days = null,
    ) {}

    public function fits(Touched $touched): bool
    {
        return self::meets($this->plants, $touched->plants) &&
            self::meets($this->products, $touched->products) &&
            self::meets($this->categories, $touched->categories);
    }

    /**
     * @param  list<string>  $asked
     * @param  list<string>  $found
     */
    private static function meets(array $asked, array $found): bool
    {
        return $asked === [] || array_intersect($asked, $found) !== [];
    }
}
