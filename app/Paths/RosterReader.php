<?php

declare(strict_types=1);

namespace App\Paths;

use App\Days\Today;
use App\People\Models\Absence;
use App\People\Models\Group;
use App\People\Models\Person;
use Orthotaxis\Core\Approval\Roster;

/**
 * Who is meant by the names in the steps of a path today: sign-in names, groups by their code, and whom the change means by its roles. Who
 * may not sign is nobody.
 */
final readonly class RosterReader
{
    private const GROUP = 'group:';

    /** @param  list<string>  $names */
    public static function of(Judged $change, array $names): Roster
    {
        $roles = [];
        foreach (array_intersect(Roles::ALL, $names) as $role) {
            $roles[$role] = $change->named($role);
        }
        $names = [...$names, ...array_merge(...array_values($roles))];
        $groups = array_map(
            static fn(string $name): string => substr($name, strlen(self::GROUP)),
            array_filter($names, static fn(string $name): bool => str_starts_with($name, self::GROUP)),
        );
        $known = [];
        foreach ($groups === [] ? [] : Group::query()->with('members')->whereIn('code', $groups)->get() as $group) {
            $known[self::GROUP . $group->code] = self::signing($group->members->all(), $change);
        }
        foreach (Person::query()->whereIn('login', $names)->get() as $person) {
            $known[$person->login] = self::signing([$person], $change);
        }
        foreach ($roles as $role => $meant) {
            $ids = array_merge(...array_map(static fn(string $name): array => $known[$name] ?? [], $meant));
            $known[$role] = array_values(array_unique($ids));
        }
        // A deputy who may not sign, or is not here any more, stands in for nobody.
        $away = Absence::holding(Today::day())
            ->with('deputy')
            ->get()
            ->mapWithKeys(
                static fn(Absence $one): array => [
                    $one->person_id => $one->deputy !== null && $change->maySign($one->deputy) ? $one->deputy_id : null,
                ],
            )
            ->all();

        return new Roster($known, $away);
    }

    /**
     * @param  array<array-key, Person>  $people
     * @return list<int>
     */
    private static function signing(array $people, Judged $change): array
    {
        return array_values(
            array_map(
                static fn(Person $person): int => $person->id,
                array_filter($people, static fn(Person $person): bool => $change->maySign($person)),
            ),
        );
    }
}
