<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\People\Models\Group;
use App\People\Models\Person;
use App\People\ShippedRole;
use App\Requests\Models\ChangeRequest;
use Illuminate\Testing\TestResponse;

/**
 * A path on which requests are judged: two of quality and the planner of the plant side by side, then tomas where it costs 5,000 or more,
 * then helen, who ticks that users are warned. Vera, edda and jonas are of quality; jonas raises the requests; nils administers.
 */
final readonly class RequestPath
{
    /** @var list<array<string, mixed>> */
    public array $steps;

    public function __construct(private World $world)
    {
        $roles = ['vera' => ShippedRole::Quality, 'edda' => ShippedRole::Quality, 'nils' => ShippedRole::Administrator];
        foreach ($roles as $login => $role) {
            $world->people[$login]->update(['roles' => [$role->value]]);
        }
        $members = Person::query()
            ->whereIn('login', ['vera', 'edda', 'jonas'])
            ->pluck('id');
        Group::query()
            ->create(['code' => 'quality', 'name' => 'Quality'])
            ->members()
            ->sync($members);
        $world->only('nils', 'PUT', '/responsible/plant/Weir', ['who' => 'tomas'])->assertOk();
        $this->steps = [
            self::step([
                'name' => 'Quality',
                'stage' => 1,
                'who' => ['group:quality'],
                'needed' => 2,
                'meaning' => 'reviewed',
                'due_days' => 3,
            ]),
            self::step(['name' => 'Production', 'stage' => 1, 'who' => ['role:planner'], 'with_password' => false]),
            self::step([
                'name' => 'Money',
                'stage' => 2,
                'who' => ['tomas'],
                'conditions' => [['fact' => 'one_time_cost', 'values' => ['5000']]],
            ]),
            self::step(['name' => 'Board', 'stage' => 3, 'who' => ['helen'], 'checks' => ['Users warned'], 'back_to' => [0, 1]]),
        ];
    }

    /**
     * @param  array<string, mixed>  $other
     * @return array<string, mixed>
     */
    public static function step(array $other): array
    {
        return $other + [
            'needed' => 1,
            'meaning' => 'approved',
            'with_password' => true,
            'due_days' => null,
            'conditions' => [],
            'back_to' => [0],
        ];
    }

    /** @param  array<string, mixed>  $other */
    public function set(array $other = [], string $code = 'board'): TestResponse
    {
        return $this->world->only(
            'nils',
            'PUT',
            "/approval-paths/{$code}",
            $other + ['name' => 'Board in three stages', 'judges' => 'requests', 'steps' => $this->steps, 'retired' => false],
        );
    }

    /** @param  array<string, mixed>  $other */
    public function raise(array $other = []): string
    {
        return $this->world->only('jonas', 'POST', '/requests', $this->world->request($other))->assertOk()->json('number');
    }

    public function find(string $request, string $finding = 'Feasible.'): TestResponse
    {
        return $this->world->only('mira', 'POST', "/requests/{$request}/finding", [
            'finding' => $finding,
            'version' => self::of($request)->version,
        ]);
    }

    public function choose(string $request, ?string $path): TestResponse
    {
        return $this->world->only('mira', 'PUT', "/requests/{$request}/path", ['path' => $path, 'version' => self::of($request)->version]);
    }

    /**
     * A request whose finding is recorded, on the path.
     *
     * @param  array<string, mixed>  $other  of the path
     */
    public function judged(array $other = []): string
    {
        $this->set($other)->assertOk();
        $request = $this->raise();
        $this->choose($request, 'board')->assertOk();
        $this->find($request)->assertOk();

        return $request;
    }

    /** @return ?array<string, mixed> as it is judged; null: it goes on no path */
    public function seen(string $request, string $who = 'mira'): ?array
    {
        return $this->world
            ->as($who, 'GET', "/dossiers/{$request}")
            ->assertOk()
            ->json('judged.0');
    }

    /** @param  array<string, mixed>  $body */
    public function sign(string $who, string $request, array $body = []): TestResponse
    {
        return $this->world->only(
            $who,
            'POST',
            "/requests/{$request}/path/signature",
            $body + ['password' => 'secret', 'digest' => $this->seen($request)['digest'] ?? ''],
        );
    }

    /** All of the first stage. */
    public function signFirstStage(string $request): void
    {
        foreach (['vera', 'edda', 'tomas'] as $who) {
            $this->sign($who, $request)->assertOk();
        }
    }

    /** @return list<string> */
    public function standings(string $request): array
    {
        return array_column($this->seen($request)['path']['steps'] ?? [], 'standing');
    }

    /** @return list<string> sign-in names */
    public function acting(string $request): array
    {
        return array_values(self::of($request)->actors->pluck('login')->sort()->all());
    }

    public static function of(string $request): ChangeRequest
    {
        return ChangeRequest::query()->where('number', $request)->firstOrFail();
    }
}
