<?php

declare(strict_types=1);

use App\ChangeNotices\Models\ChangeNotice;
use App\Days\OfficeDays;
use App\Days\Today;
use App\People\Models\Group;
use App\People\Models\Person;
use App\People\ShippedRole;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Feature\Support\World;

/* Who is reminded before something is due, told when it is overdue, and who is told when it stays so: each of it once. */

beforeEach(function (): void {
    $this->travelTo(CarbonImmutable::parse('next monday 09:00'));
    $this->world = new World($this);
    World::planningTakes();
    Http::fake(['*/supply' => Http::response(['rows' => []])]);
    $this->told = fn(string $who): array => array_values(
        array_filter(
            array_map(
                static fn(array $row): string => "{$row['what']}: {$row['about']}",
                array_reverse($this->world->as($who, 'GET', '/notices')->json('rows')),
            ),
            static fn(string $one): bool => preg_match('/^(Due soon|Overdue)/', $one) === 1,
        ),
    );
    // On the morning of so many office days from today on.
    $this->morning = function (int $days): void {
        $this->travelTo(CarbonImmutable::parse((string) OfficeDays::after(Today::day(), $days))->setTime(8, 0));
        expect(Artisan::call('notices:deadlines'))->toBe(0);
    };
    $this->due = static fn(int $days): string => OfficeDays::after(Today::day(), $days)->spelled();
    $this->inReview = function (array $step = []): string {
        $this->world->people['nils']->update(['roles' => [ShippedRole::Administrator->value]]);
        Group::query()
            ->create(['code' => 'quality', 'name' => 'Quality'])
            ->members()
            ->sync(
                Person::query()
                    ->whereIn('login', ['vera', 'edda'])
                    ->pluck('id'),
            );
        $this->world->people['vera']->update(['roles' => [ShippedRole::Quality->value]]);
        $this->world->people['edda']->update(['roles' => [ShippedRole::Quality->value]]);
        $this->world
            ->only('nils', 'PUT', '/approval-paths/usual', [
                'name' => 'Usual',
                'retired' => false,
                'steps' => [
                    $step + [
                        'name' => 'Review',
                        'stage' => 1,
                        'who' => ['group:quality'],
                        'needed' => 2,
                        'meaning' => 'reviewed',
                        'with_password' => true,
                        'due_days' => 4,
                        'conditions' => [],
                        'back_to' => [0],
                        'remind_days' => 1,
                        'escalate_days' => 2,
                        'escalate_to' => ['tomas'],
                    ],
                ],
            ])
            ->assertOk();
        $order = $this->world->opened();
        $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
        $this->world
            ->only('mira', 'PATCH', "/orders/{$order}", ['path' => 'usual', 'version' => $this->world->version($order)])
            ->assertOk();
        $this->world->only('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->world->version($order)])->assertOk();

        return $order;
    };
});

it('reminds of a step of a path, says when it is late, and tells others when it stays so; once each', function (): void {
    $order = ($this->inReview)();
    $due = ($this->due)(4);
    ($this->morning)(2);
    expect(($this->told)('vera'))->toBe([]);
    ($this->morning)(1);
    ($this->morning)(0);
    expect(($this->told)('vera'))->toBe(["Due soon: Review, due {$due}"]);
    $digest = $this->world->as('edda', 'GET', "/orders/{$order}/review")->json('order.digest');
    $this->world->only('edda', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
    ($this->morning)(2);
    ($this->morning)(1);
    ($this->morning)(1);
    expect(($this->told)('vera'))
        ->toBe(["Due soon: Review, due {$due}", "Overdue: Review, due {$due}"])
        // Who has signed is not late.
        ->and(($this->told)('edda'))
        ->toBe(["Due soon: Review, due {$due}"])
        ->and(($this->told)('tomas'))
        ->toBe(["Overdue, escalated: Review, due {$due}"])
        ->and(($this->told)('mira'))
        ->toBe([]);
});

it('leaves alone what is on hold, and counts from the day on which it is due then', function (): void {
    $order = ($this->inReview)();
    $this->world
        ->only('mira', 'POST', "/orders/{$order}/hold", ['reason' => 'The supplier is asked.', 'version' => $this->world->version($order)])
        ->assertOk();
    ($this->morning)(8);
    expect(($this->told)('vera'))->toBe([])->and(($this->told)('tomas'))->toBe([]);
});

it('tells whoever planned it where a step names nobody else, or nobody can sign', function (): void {
    $order = ($this->inReview)(['escalate_to' => []]);
    Person::query()
        ->whereIn('login', ['vera', 'edda'])
        ->update(['active' => false]);
    ($this->morning)(5);
    expect(($this->told)('mira'))->toHaveCount(1)->and(($this->told)('mira')[0])->toStartWith('Overdue: Review');
});

it('tells of tasks, not of those that wait for others, and of another due day anew', function (): void {
    $order = $this->world->opened();
    $task = fn(string $title, array $waits = []): string => $this->world
        ->only('mira', 'POST', "/changes/{$order}/tasks", [
            'to' => 'tomas',
            'kind' => 'purchasing',
            'title' => $title,
            'text' => '',
            'priority' => 'normal',
            'due_on' => (string) OfficeDays::after(Today::day(), 2),
            'checks' => [],
            'waits_for' => $waits,
        ])
        ->assertOk()
        ->json('number');
    $first = $task('Ask for a price');
    $task('Order it', [$first]);
    $due = ($this->due)(2);
    ($this->morning)(1);
    ($this->morning)(2);
    ($this->morning)(2);
    expect(($this->told)('tomas'))
        ->toBe(["Due soon: {$first} Ask for a price, due {$due}", "Overdue: {$first} Ask for a price, due {$due}"])
        ->and(($this->told)('mira'))
        ->toBe(["Overdue, escalated: {$first} Ask for a price, due {$due}"]);
    $later = OfficeDays::after(Today::day(), 1);
    DB::table('tasks')
        ->where('number', $first)
        ->update(['due_on' => (string) $later]);
    ($this->morning)(0);
    expect(($this->told)('tomas'))
        ->toHaveCount(3)
        ->and(($this->told)('tomas')[2])
        ->toBe("Due soon: {$first} Ask for a price, due {$later->spelled()}");
});

it('tells of questions and of change notices that nobody has acknowledged', function (): void {
    DB::table('distribution_lists')->insert([
        'code' => 'all',
        'name' => 'All',
        'plants' => '[]',
        'products' => '[]',
        'categories' => '[]',
        'recipients' => '["tomas"]',
        'acknowledge' => true,
        'days' => 2,
        'version' => 1,
    ]);
    $order = $this->world->signed();
    $this->world->only('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    $notice = ChangeNotice::query()->sole()->number;
    $due = ($this->due)(2);
    ($this->morning)(3);
    ($this->morning)(2);
    expect(($this->told)('tomas'))
        ->toBe(["Overdue: Acknowledge {$notice} (Tomas), due {$due}"])
        ->and(($this->told)('mira'))
        ->toBe(["Overdue, escalated: Acknowledge {$notice} (Tomas), due {$due}"]);
});

it('refuses a reminder where nothing is due, and nobody to escalate to', function (array $step, string $place, string $reason): void {
    $this->world->people['nils']->update(['roles' => [ShippedRole::Administrator->value]]);
    $this->world
        ->only('nils', 'PUT', '/approval-paths/usual', [
            'name' => 'Usual',
            'retired' => false,
            'steps' => [
                $step + [
                    'name' => 'Review',
                    'stage' => 1,
                    'who' => ['helen'],
                    'needed' => 1,
                    'meaning' => 'reviewed',
                    'with_password' => true,
                    'due_days' => 4,
                    'conditions' => [],
                    'back_to' => [0],
                ],
            ],
        ])
        ->assertStatus(422)
        ->assertJson(['errors' => [$place => [$reason]]]);
})->with([
    'no due day' => [
        ['due_days' => null, 'remind_days' => 1],
        'steps.0.due_days',
        'Say in how many days it is due: nobody is late otherwise.',
    ],
    'nobody' => [['escalate_days' => 1, 'escalate_to' => ['x']], 'steps.0.escalate_to', 'There is no person or group x.'],
    'half a day' => [['remind_days' => -1], 'steps.0.remind_days', 'Give whole days, or 0 for the day itself.'],
]);

it('stands in the calendar of who can sign, until they have', function (): void {
    $order = ($this->inReview)();
    $events = function (string $who): array {
        $address = (string) parse_url((string) $this->world->only($who, 'POST', '/calendar')->json('address'), PHP_URL_PATH);
        auth()->forgetGuards();
        preg_match_all('/^SUMMARY:(.*review due.*)\r$/m', (string) $this->get($address)->getContent(), $found);

        return $found[1];
    };
    expect($events('vera'))
        ->toBe(["{$order} review due: Review\\, Pump tube wears out"])
        ->and($events('helen'))
        ->toBe([]);
    $digest = $this->world->only('vera', 'GET', "/orders/{$order}/review")->json('order.digest');
    $this->world->only('vera', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
    expect($events('vera'))->toBe([])->and($events('edda'))->toHaveCount(1);
});
