<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\People\Models\Person;
use App\People\ShippedRole;
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
                ['mira.okafor', 'Mira Okafor', ShippedRole::Coordinator],
                ['jonas.weir', 'Jonas Weir', ShippedRole::DesignEngineer],
                ['edda.roth', 'Edda Roth', ShippedRole::ElectronicsEngineer],
                ['samir.bello', 'Samir Bello', ShippedRole::ManufacturingEngineer],
                ['tomas.lind', 'Tomas Lind', ShippedRole::Planner],
                ['petra.quist', 'Petra Quist', ShippedRole::Buyer],
                ['nils.aarden', 'Nils Aarden', ShippedRole::Quality],
                ['omar.reyes', 'Omar Reyes', ShippedRole::Quality],
                ['lena.voss', 'Lena Voss', ShippedRole::Quality],
                ['clara.fenn', 'Clara Fenn', ShippedRole::Service],
                ['helen.marsh', 'Helen Marsh', ShippedRole::BoardMember],
                ['greta.sorn', 'Greta Sorn', ShippedRole::BoardMember],
                ['ivo.tanner', 'Ivo Tanner', ShippedRole::Administrator],
                ['vera.stone', 'Vera Stone', ShippedRole::Viewer],
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
