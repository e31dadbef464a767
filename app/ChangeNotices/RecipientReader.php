<?php

declare(strict_types=1);

namespace App\ChangeNotices;

use App\ChangeNotices\Models\DistributionList;
use App\People\Models\Group;
use App\People\Models\Person;
use Orthotaxis\Core\Release\DistributionRule;

/** Who is meant by the names on distribution lists today. Who is not here any more is nobody. */
final readonly class RecipientReader
{
    private const GROUP = 'group:';

    /** @return list<DistributionRule> of all lists in use */
    public static function rules(): array
    {
        $lists = DistributionList::inUse()->get();
        $names = array_merge(...array_values($lists->map(static fn(DistributionList $one): array => $one->recipients)->all()));
        $people = self::people($names);

        return array_values(
            $lists
                ->map(
                    static fn(DistributionList $one): DistributionRule => new DistributionRule(
                        name: $one->name,
                        plants: $one->plants,
                        products: $one->products,
                        categories: $one->categories,
                        people: array_values(
                            array_unique(
                                array_merge(...array_map(static fn(string $name): array => $people[$name] ?? [], $one->recipients)),
                            ),
                        ),
                        acknowledge: $one->acknowledge,
                        days: $one->days,
                    ),
                )
                ->all(),
        );
    }

    /**
     * @param  array<string>  $names  sign-in names, and groups as group: and their code
     * @return array<string, list<int>> ids by name; a name that nobody bears is left out
     */
    public static function people(array $names): array
    {
        $codes = array_map(
            static fn(string $name): string => substr($name, strlen(self::GROUP)),
            array_filter($names, static fn(string $name): bool => str_starts_with($name, self::GROUP)),
        );
        $people = [];
        foreach ($codes === [] ? [] : Group::query()->with('members')->whereIn('code', $codes)->get() as $group) {
            $people[self::GROUP . $group->code] = $group->active();
        }
        foreach (Person::query()->whereIn('login', $names)->where('active', true)->pluck('id', 'login') as $login => $id) {
            $people[(string) $login] = [is_int($id) ? $id : 0];
        }

        return $people;
    }
}
