<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\People\Models\Person;
use App\People\Role;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

final class PeopleSeeder extends Seeder
{
    private const PASSWORD = 'quillback';

    public function run(): void
    {
        $password = Hash::make(self::PASSWORD);
        foreach (
            [
                ['mira.okafor', 'Mira Okafor', Role::Coordinator],
                ['jonas.weir', 'Jonas Weir', Role::DesignEngineer],
                ['edda.roth', 'Edda Roth', Role::ElectronicsEngineer],
                ['samir.bello', 'Samir Bello', Role::ManufacturingEngineer],
                ['tomas.lind', 'Tomas Lind', Role::Planner],
                ['petra.quist', 'Petra Quist', Role::Buyer],
                ['nils.aarden', 'Nils Aarden', Role::Quality],
                ['omar.reyes', 'Omar Reyes', Role::Quality],
                ['lena.voss', 'Lena Voss', Role::Quality],
                ['clara.fenn', 'Clara Fenn', Role::Service],
                ['helen.marsh', 'Helen Marsh', Role::BoardMember],
                ['greta.sorn', 'Greta Sorn', Role::BoardMember],
                ['ivo.tanner', 'Ivo Tanner', Role::Administrator],
                ['vera.stone', 'Vera Stone', Role::Viewer],
            ]
            as [$login, $name, $role]
        ) {
            Person::query()->create([
                'login' => $login,
                'name' => $name,
                'email' => "{$login}@quillback.example",
                'password' => $password,
                'roles' => [$role->value],
            ]);
        }
        DB::table('number_ranges')->insert([
            ['name' => 'request', 'prefix' => 'ECR-', 'width' => 5, 'next' => 1],
            ['name' => 'order', 'prefix' => 'ECO-', 'width' => 5, 'next' => 1],
        ]);
    }
}
