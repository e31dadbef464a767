<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Rights;

/**
 * What people of a role may do. A role can be held to plants, to categories, or to both: then it allows something only with changes and
 * items that concern one of them. Of what nobody has said yet what it concerns, it is not held back.
 *
 * The planner of Weir releases an order that touches Weir, also one that touches Tarn as well; not one of Tarn alone.
 */
final readonly class Role
{
    /**
     * @param  list<string>  $abilities  codes
     * @param  list<string>  $plants  codes; empty: all
     * @param  list<string>  $categories  codes, each with all below it; empty: all
     */
    public function __construct(private array $abilities, private array $plants = [], private array $categories = []) {}

    /** @param  ?Place  $at  null: nothing in particular, or something that only begins */
    public function allows(string $ability, ?Place $at = null): bool
    {
        return in_array($ability, $this->abilities, true) &&
            ($at === null || (self::meets($this->plants, $at->plants) && self::meets($this->categories, $at->categories)));
    }

    public function isHeld(): bool
    {
        return $this->plants !== [] || $this->categories !== [];
    }

    /**
     * @param  list<string>  $held
     * @param  list<string>  $concerned
     */
    private static function meets(array $held, array $concerned): bool
    {
        return $held === [] || $concerned === [] || array_intersect($held, $concerned) !== [];
    }
}
