<?php

declare(strict_types=1);

namespace App\Imports\Jobs;

use App\Files\Confined;
use App\Files\ConfinedEnd;
use App\Imports\ImportRun;
use App\Imports\Models\Import;
use App\Structures\Commands\IndexStructures;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Artisan;

/** Runs one import in a process of its own, and ends that when somebody cancels it, whatever it is at. */
final class RunImport implements ShouldQueue
{
    use Queueable;

    private const SECONDS = 1_700;

    private const MEGABYTES = 128;

    private const SAID_EVERY = 5;

    private int $said = 0;

    public int $tries = 1;

    public int $timeout = 1_800;

    public function __construct(public readonly string $import)
    {
        $this->onQueue('long');
    }

    public function handle(ImportRun $run): void
    {
        // Whoever cancelled it before it began has the last word.
        if (
            Import::query()
                ->where('id', $this->import)
                ->where('state', 'waiting')
                ->update(['state' => 'checking', 'seen_at' => CarbonImmutable::now()]) === 0
        ) {
            return;
        }
        $this->run($run);
        if (Import::query()->where('id', $this->import)->value('state') === 'done') {
            Artisan::call(IndexStructures::class, ['--when-behind' => true]);
        }
    }

    private function run(ImportRun $run): void
    {
        if (config('orthotaxis.files.read_apart') !== true) {
            $run(Import::query()->with('person')->where('id', $this->import)->firstOrFail());

            return;
        }
        $end = Confined::run(['artisan', 'imports:run', $this->import], self::SECONDS, self::MEGABYTES, $this->watched(...));
        if (!$end->whole() && $end !== ConfinedEnd::Stopped) {
            $this->fellOver($end->sentence());
        }
    }

    /** Whether it is to end; says now and then that somebody is still at it. See EndLostImports. */
    private function watched(): bool
    {
        $import = Import::query()->where('id', $this->import);
        if ($this->said < time() - self::SAID_EVERY) {
            $this->said = time();
            $import->clone()->update(['seen_at' => CarbonImmutable::now()]);
        }

        return in_array($import->value('state'), ['cancelled', 'failed'], true);
    }

    public function failed(\Throwable $fault): void
    {
        $this->fellOver('It broke off; nothing of it was saved. Try it again, and tell the administrator if it breaks off again.');
    }

    private function fellOver(string $sentence): void
    {
        Import::query()
            ->where('id', $this->import)
            ->whereNotIn('state', Import::ENDED)
            ->update(['state' => 'failed', 'outcome' => $sentence, 'ended_at' => CarbonImmutable::now()]);
    }
}
