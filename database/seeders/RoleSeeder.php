<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\People\Models\Favourite;
use App\People\Models\Group;
use App\People\Models\Person;
use App\People\Models\Role;
use App\People\Models\SeparationOfDuties;
use App\People\ShippedRole;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;

/**
 * A role of Quillback's own, which holds at one plant, who has it, somebody who has left, a view that is shared, and duties
 * that are kept apart.
 */
final class RoleSeeder extends Seeder
{
    public function run(): void
    {
        $planner = Role::query()->where('code', ShippedRole::Planner->value)->firstOrFail();
        Role::query()->create([
            'code' => 'planner_weir',
            'name' => 'Planner, Weir',
            'abilities' => [...$planner->abilities, 'plan_order', 'release_order', 'close_order'],
            'plants' => ['Weir'],
        ]);
        $tomas = Person::query()->where('login', 'tomas.lind')->firstOrFail();
        Favourite::query()->create([
            'person_id' => $tomas->id,
            'group_id' => Group::query()->where('code', 'purchasing')->firstOrFail()->id,
            'address' => '/cut-ins',
            'name' => 'Cut-ins of this year',
        ]);
        SeparationOfDuties::query()->update(['pairs' => json_encode([['waive', 'sign'], ['sign', 'release']])]);
        $mira = Person::query()->where('login', 'mira.okafor')->firstOrFail();
        foreach (
            [['ruth.amery', 'Ruth Amery', 'planner_weir', true], ['karl.ode', 'Karl Ode', 'planner', false]]
            as [$login, $name, $role, $active]
        ) {
            Person::query()->create([
                'login' => $login,
                'name' => $name,
                'email' => "{$login}@quillback.example",
                // Hers is that of everybody in the demo; he has none any more.
                'password' => $active ? $mira->password : Str::random(64),
                'roles' => [$role],
                'active' => $active,
            ]);
        }
    }
}
