<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Paths\Actions\SetPath;
use App\Paths\Actions\SetResponsible;
use App\Paths\Judges;
use App\People\Models\Person;
use App\Tasks\Actions\MoveTask;
use App\Tasks\Models\ChangeTask;
use Illuminate\Database\Seeder;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\ChangeLine;

/**
 * A path that a rule chooses, with tasks and a check list, for savings on the suction line; and an order on it that waits at a stage in
 * which nobody signs.
 */
final class PathSeeder extends Seeder
{
    private const RESPONSIBLE = [
        ['plant', 'Tarn', 'tomas.lind'],
        ['plant', 'Weir', 'tomas.lind'],
        ['category', 'suction', 'nils.aarden'],
        ['category', 'pump', 'jonas.weir'],
        ['category', 'electronics', 'group:weir_engineering'],
    ];

    public function run(): void
    {
        $ivo = self::person('ivo.tanner');
        foreach (self::RESPONSIBLE as [$field, $code, $who]) {
            app(SetResponsible::class)($ivo, $field, $code, $who);
        }
        $this->path($ivo);
        $this->order();
    }

    private function path(Person $by): void
    {
        app(SetPath::class)(
            $by,
            'suction_savings',
            [
                'name' => 'Savings on the suction line',
                'judges' => Judges::Orders,
                'steps' => [
                    self::step(
                        'Owner of the part',
                        1,
                        ['role:owner'],
                        meaning: 'reviewed',
                        checks: ['Flow measured with the new part', 'Spare part sheet looked at'],
                    ),
                    self::step('Approval', 3, ['role:signer']),
                ],
                'tasks' => [
                    self::task(0, 'design', 'Drawing of the part', 'role:editor', dueDays: 5, edits: [Subject::ENGINEERING]),
                    self::task(2, 'purchasing', 'Quotation for a year', 'group:purchasing', dueDays: 4, checks: ['Price', 'Lead time']),
                    self::task(2, 'training', 'Tell the service partners', 'clara.fenn', holds: false),
                    self::task(null, 'planning', 'Use up or scrap what is left', 'role:planner', dueDays: 10, holds: false),
                ],
                'sends_itself' => true,
                'chosen_when' => [['fact' => 'category', 'values' => ['suction']], ['fact' => 'reason', 'values' => ['cost_saving']]],
                'rank' => 1,
                'retired' => false,
            ],
            version: null,
        );
    }

    private function order(): void
    {
        $s = (new ChangeStory())->on(12);
        $request = $s->request(
            'petra.quist',
            'Strainer of the suction line moulded in one piece',
            'cost_saving',
            'supplier',
            'Tarn',
            'low',
            'The maker offers the strainer in one piece; it saves the glued joint and half of the price.',
            ['240-0001'],
        );
        $s->on(11)->assess($request, 'Same mesh, same thread. The flow has to be measured.');
        $s->decide($request, RequestState::Approved, 'Worth it.');
        $order = $s->on(9)->order($request);
        $s->plan($order, 'jonas.weir', 'helen.marsh', 60, path: 'rule');
        $s->name($order, '240-0001', Outcome::Revise, Disposition::UseUp);
        $s->open($order);
        $s->on(6)->edit($order, '240-0001', [new ChangeLine($s->line('240-0001', '240-0002'), ['notes' => 'Moulded in one piece.'])]);
        $s->takeOver($order);
        $s->together($order);
        // With the last task before it goes to review by itself.
        app(MoveTask::class)->finish(self::person('jonas.weir'), self::drawing($order), 'Drawn, and measured: 4.1 l a minute as before.');
        $s->on(4)->sign($order, 'nils.aarden', ['Flow measured with the new part', 'Spare part sheet looked at']);
        $s->backToToday();
    }

    private static function drawing(string $order): string
    {
        return ChangeTask::query()->where('change', $order)->where('title', 'Drawing of the part')->valueOrFail('number');
    }

    /**
     * @param  list<string>  $who
     * @param  list<string>  $checks
     * @return array<string, mixed>
     */
    private static function step(string $name, int $stage, array $who, string $meaning = 'approved', array $checks = []): array
    {
        return [
            'name' => $name,
            'stage' => $stage,
            'who' => $who,
            'needed' => 1,
            'meaning' => $meaning,
            'with_password' => true,
            'due_days' => 3,
            'conditions' => [],
            'back_to' => $stage === 1 ? [0] : [0, 1],
            'checks' => $checks,
        ];
    }

    /**
     * @param  list<string>  $checks
     * @param  list<string>  $edits
     * @return array<string, mixed>
     */
    private static function task(
        ?int $stage,
        string $kind,
        string $title,
        string $to,
        ?int $dueDays = null,
        bool $holds = true,
        array $checks = [],
        array $edits = [],
    ): array {
        return [
            'stage' => $stage,
            'kind' => $kind,
            'title' => $title,
            'to' => $to,
            'holds' => $holds,
            'due_days' => $dueDays,
            'checks' => $checks,
            'edits' => $edits,
        ];
    }

    private static function person(string $login): Person
    {
        return Person::query()->where('login', $login)->firstOrFail();
    }
}
