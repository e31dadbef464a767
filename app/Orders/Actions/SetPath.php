<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\Orders\Events\PathSet;
use App\Orders\Models\ApprovalPath;
use App\Orders\Paths\ChosenByRule;
use App\Orders\Paths\PathSteps;
use App\Orders\Paths\RolesOfChange;
use App\People\Models\Group;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Refusal;

/** Adds an approval path, or makes another version of one. Orders that go on an earlier version stay on it. */
final readonly class SetPath
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  array{name: string, steps: list<array<string, mixed>>, tasks: list<array<string, mixed>>, sends_itself: bool,
     *     chosen_when: ?list<array{fact: string, values: list<string>}>, rank: int, retired: bool}  $path  steps and tasks as PathSteps
     *     reads them
     * @param  ?int  $version  that was on screen; null: it is new
     *
     * @throws Refusal at the step that cannot be so
     * @throws Stale when somebody has made another version since
     */
    public function __invoke(Person $by, string $code, array $path, ?int $version): ApprovalPath
    {
        if ($code === PlanOrder::BY_RULE) {
            throw Refusal::at('code', 'This word stands for the choice by rule. Choose another code.');
        }
        self::mustKnow(PathSteps::read($path['steps'], $path['tasks'], $path['sends_itself']));
        ChosenByRule::conditions($path['chosen_when'] ?? []);

        return $this->ledger->together(static function () use ($by, $code, $path, $version): ApprovalPath {
            DB::select('SELECT pg_advisory_xact_lock(hashtext(?))', ["path {$code}"]);
            $newest = ApprovalPath::newest()->where('code', $code)->first();
            if ($version === null && $newest !== null) {
                throw Refusal::at('code', "There is a path {$code} already.");
            }
            if ($version !== null && ($newest ?? abort(404))->version !== $version) {
                throw new Stale('Somebody has changed it meanwhile.', ['name' => $newest->name]);
            }
            $made = ApprovalPath::query()->create([
                ...$path,
                'code' => $code,
                'version' => ($newest->version ?? 0) + 1,
                'made_by' => $by->id,
                'made_at' => CarbonImmutable::now(),
            ]);
            event(
                new PathSet(
                    by: $by->login,
                    of: $code,
                    name: $made->name,
                    version: $made->version,
                    steps: count($made->steps),
                    tasks: count($made->tasks),
                    by_rule: $made->chosen_when !== null,
                    retired: $made->retired,
                ),
            );

            return $made;
        });
    }

    /** @throws Refusal when a step or a task names nobody who is known */
    private static function mustKnow(Path $path): void
    {
        $known = [
            ...array_fill_keys(RolesOfChange::ALL, true),
            ...array_fill_keys(Person::query()->pluck('login')->all(), true),
            ...array_fill_keys(Group::query()->pluck('code')->map(static fn(string $code): string => "group:{$code}")->all(), true),
        ];
        foreach ($path->steps as $at => $step) {
            foreach ($step->who as $i => $name) {
                isset($known[$name]) || throw Refusal::at("steps.{$at}.who", "There is no person or group {$name}.");
            }
            foreach ($step->escalateTo as $name) {
                $isKnown = isset($known[$name]) && !str_starts_with($name, 'role:');
                $isKnown || throw Refusal::at("steps.{$at}.escalate_to", "There is no person or group {$name}.");
            }
        }
        foreach ($path->tasks as $at => $task) {
            isset($known[$task->to]) || throw Refusal::at("tasks.{$at}.to", 'Choose a person or a group.');
        }
    }
}
