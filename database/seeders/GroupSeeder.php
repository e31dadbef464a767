<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Paths\Actions\SetPath;
use App\Paths\Judges;
use App\People\Actions\SetAbsence;
use App\People\Actions\SetGroup;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;

/** Groups of people, a path with a group, a stage of two and a condition on cost, and a deputy for who is on holiday. */
final class GroupSeeder extends Seeder
{
    private const GROUPS = [
        'purchasing' => ['Purchasing', ['petra.quist', 'tomas.lind']],
        'weir_engineering' => ['Engineering, Weir', ['jonas.weir', 'edda.roth', 'samir.bello']],
        'document_control' => ['Document control', ['nils.aarden', 'clara.fenn']],
        'quality' => ['Quality', ['nils.aarden', 'omar.reyes', 'lena.voss']],
        'board' => ['Change board', ['helen.marsh', 'greta.sorn']],
    ];

    public function run(): void
    {
        $ivo = self::person('ivo.tanner');
        foreach (self::GROUPS as $code => [$name, $members]) {
            app(SetGroup::class)($ivo, $code, name: $name, members: $members, retired: false, version: null);
        }
        app(SetPath::class)(
            $ivo,
            'two_plants',
            [
                'name' => 'Review, cost and approval',
                'judges' => Judges::Orders,
                'steps' => [
                    self::step(
                        'Quality review',
                        1,
                        ['group:quality'],
                        needed: 2,
                        meaning: 'reviewed',
                        dueDays: 5,
                        remindDays: 1,
                        escalateDays: 2,
                    ),
                    self::step(
                        'Cost',
                        2,
                        ['greta.sorn'],
                        needed: 1,
                        conditions: [['fact' => 'one_time_cost', 'values' => ['5000']]],
                        backTo: [0, 1],
                    ),
                    self::step('Approval', 2, ['role:signer'], needed: 1, dueDays: 3, backTo: [0, 1]),
                ],
                'tasks' => [],
                'sends_itself' => false,
                'chosen_when' => null,
                'rank' => 0,
                'retired' => false,
            ],
            version: null,
        );
        app(SetAbsence::class)->add(
            self::person('helen.marsh'),
            'lena.voss',
            first: CarbonImmutable::today()->subDays(2)->toDateString(),
            last: CarbonImmutable::today()->addDays(9)->toDateString(),
            deputy: 'helen.marsh',
        );
    }

    /**
     * @param  list<string>  $who
     * @param  list<array{fact: string, values: list<string>}>  $conditions
     * @param  list<int>  $backTo
     * @return array<string, mixed>
     */
    private static function step(
        string $name,
        int $stage,
        array $who,
        int $needed,
        string $meaning = 'approved',
        ?int $dueDays = null,
        array $conditions = [],
        array $backTo = [0],
        ?int $remindDays = null,
        ?int $escalateDays = null,
    ): array {
        return [
            'name' => $name,
            'stage' => $stage,
            'who' => $who,
            'needed' => $needed,
            'meaning' => $meaning,
            'with_password' => true,
            'due_days' => $dueDays,
            'conditions' => $conditions,
            'back_to' => $backTo,
            'remind_days' => $remindDays,
            'escalate_days' => $escalateDays,
            'escalate_to' => [],
        ];
    }

    private static function person(string $login): Person
    {
        return Person::query()->where('login', $login)->firstOrFail();
    }
}
