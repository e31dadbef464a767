<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\Orders\Events\PathSet;
use App\Orders\Models\ApprovalPath;
use App\Orders\Paths\PathSteps;
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
     * @param  list<array<string, mixed>>  $steps  as PathSteps reads them
     * @param  ?int  $version  that was on screen; null: it is new
     *
     * @throws Refusal at the step that cannot be so
     * @throws Stale when somebody has made another version since
     */
    public function __invoke(Person $by, string $code, string $name, array $steps, bool $retired, ?int $version): ApprovalPath
    {
        self::mustKnow(PathSteps::read($steps));

        return $this->ledger->together(static function () use ($by, $code, $name, $steps, $retired, $version): ApprovalPath {
            DB::select('SELECT pg_advisory_xact_lock(hashtext(?))', ["path {$code}"]);
            $newest = ApprovalPath::newest()->where('code', $code)->first();
            if ($version === null && $newest !== null) {
                throw Refusal::at('code', "There is a path {$code} already.");
            }
            if ($version !== null && ($newest ?? abort(404))->version !== $version) {
                throw new Stale('Somebody has changed it meanwhile.', ['name' => $newest->name]);
            }
            $path = ApprovalPath::query()->create([
                'code' => $code,
                'version' => ($newest->version ?? 0) + 1,
                'name' => $name,
                'steps' => $steps,
                'retired' => $retired,
                'made_by' => $by->id,
                'made_at' => CarbonImmutable::now(),
            ]);
            event(new PathSet($by->login, $code, name: $name, version: $path->version, steps: count($steps), retired: $retired));

            return $path;
        });
    }

    /** @throws Refusal when a step names nobody who is known */
    private static function mustKnow(Path $path): void
    {
        $known = [
            Path::SIGNER => true,
            ...array_fill_keys(Person::query()->pluck('login')->all(), true),
            ...array_fill_keys(Group::query()->pluck('code')->map(static fn(string $code): string => "group:{$code}")->all(), true),
        ];
        foreach ($path->steps as $at => $step) {
            foreach ($step->who as $i => $name) {
                isset($known[$name]) || throw Refusal::at("steps.{$at}.who", "There is no person or group {$name}.");
            }
            foreach ($step->escalateTo as $name) {
                $isKnown = isset($known[$name]) && $name !== Path::SIGNER;
                $isKnown || throw Refusal::at("steps.{$at}.escalate_to", "There is no person or group {$name}.");
            }
        }
    }
}
