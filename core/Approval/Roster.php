<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

/**
 * Who is who today: whom a step means, who is away, and who stands in. A stand-in who is away has one too; where a chain of them comes
 * back to its beginning, nobody stands in.
 */
final readonly class Roster
{
    /**
     * @param  array<string, list<int>>  $people  ids of the active people whom a name means: one person, a group, a role of the change
     * @param  array<int, ?int>  $away  of those who are away today: who stands in
     */
    public function __construct(private array $people, private array $away = []) {}

    /**
     * @param  list<string>  $who
     * @return list<int> none twice
     */
    public function people(array $who): array
    {
        return array_values(array_unique(array_merge(...array_map(fn(string $name): array => $this->people[$name] ?? [], $who))));
    }

    /** Who acts for a person today: themselves, or who stands in; null: nobody. */
    public function actsFor(int $person): ?int
    {
        $seen = [];
        while (array_key_exists($person, $this->away)) {
            if (isset($seen[$person]) || $this->away[$person] === null) {
                return null;
            }
            $seen[$person] = true;
            $person = $this->away[$person];
        }

        return $person;
    }
}
