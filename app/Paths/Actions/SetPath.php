<?php

declare(strict_types=1);

namespace App\Paths\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\Paths\Events\PathSet;
use App\Paths\Judges;
use App\Paths\Models\ApprovalPath;
use App\Paths\PathSteps;
use App\Paths\Roles;
use App\People\Models\Group;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Refusal;

/** Adds an approval path, or makes another version of one. Orders that go on an earlier version stay on it. */
final readonly class SetPath
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  array{name: string, judges: Judges, steps: list<array<string, mixed>>, tasks: list<array<string, mixed>>, sends_itself: bool,
     *     chosen_when: ?list<array{fact: string, values: list<string>}>, rank: int, retired: bool}  $path  steps and tasks as PathSteps
     *     reads them
     * @param  ?int  $version  that was on screen; null: it is new
     *
     * @throws Refusal at the step that cannot be so
     * @throws Stale when somebody has made another version since
     */
    public function __invoke(Person $by, string $code, array $path, ?int $version): ApprovalPath
    {
        if ($code === ApprovalPath::BY_RULE) {
            throw Refusal::at('code', 'This word stands for the choice by rule. Choose another code.');
        }
        $read = PathSteps::read($path['steps'], $path['tasks'], $path['sends_itself']);
        $path['judges'] === Judges::Requests && self::mustJudgeRequests($read);
        self::mustKnow($read);
        PathSteps::conditions($path['chosen_when'] ?? []);

        return $this->ledger->together(static function () use ($by, $code, $path, $version): ApprovalPath {
            DB::select('SELECT pg_advisory_xact_lock(hashtext(?))', ["path {$code}"]);
            $newest = ApprovalPath::newest()->where('code', $code)->first();
            if ($version === null && $newest !== null) {
                throw Refusal::at('code', "There is a path {$code} already.");
            }
            if ($version !== null && ($newest ?? abort(404))->version !== $version) {
                throw new Stale('Somebody has changed it meanwhile.', ['name' => $newest->name]);
            }
            if ($newest !== null && $newest->judges !== $path['judges']) {
                throw Refusal::at('judges', "It judges {$newest->judges->value}: make another path.");
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

    /** @throws Refusal where a path asks for what only an order has */
    private static function mustJudgeRequests(Path $path): void
    {
        foreach ($path->steps as $at => $step) {
            if (array_intersect($step->who, array_diff(Roles::ALL, Roles::SIGNING_REQUESTS)) !== []) {
                throw Refusal::at("steps.{$at}.who", 'A request has no signer and no editor, and its originator does not judge it.');
            }
        }
        foreach ($path->tasks as $at => $task) {
            match (true) {
                $task->edits !== [] => throw Refusal::at("tasks.{$at}.edits", 'A request has nothing yet that could be edited.'),
                $task->stage === null, $task->stage === PathTask::BEFORE_REVIEW => throw Refusal::at(
                    "tasks.{$at}.stage",
                    'Say with which stage: a request is judged from its finding on.',
                ),
                in_array($task->to, array_diff(Roles::ALL, Roles::OF_REQUESTS), true) => throw Refusal::at(
                    "tasks.{$at}.to",
                    'A request has no signer and no editor.',
                ),
                default => null,
            };
        }
        if ($path->sendsItself) {
            throw Refusal::at('sends_itself', 'A request is judged from its finding on: there is nothing to be sent.');
        }
    }

    /** @throws Refusal when a step or a task names nobody who is known */
    private static function mustKnow(Path $path): void
    {
        $known = [
            ...array_fill_keys(Roles::ALL, true),
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
