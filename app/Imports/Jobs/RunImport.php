<?php

declare(strict_types=1);

namespace App\Imports\Jobs;

use App\Files\StoredFile;
use App\Imports\Faults;
use App\Imports\Models\Import;
use App\Ledger\Ledger;
use App\Structures\Commands\IndexStructures;
use App\Tables\SheetReader;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/** Checks the whole of a file, and writes it when nothing is wrong. Tells how far it is, and stops when it is cancelled. */
final class RunImport implements ShouldQueue
{
    use Queueable;

    private const TOLD_EVERY = 2_000;

    public int $tries = 1;

    public int $timeout = 1_800;

    public function __construct(public readonly string $import)
    {
        $this->onQueue('long');
    }

    public function handle(Ledger $ledger): void
    {
        // Whoever cancelled it before it began has the last word.
        if (Import::query()->where('id', $this->import)->where('state', 'waiting')->update(['state' => 'checking']) === 0) {
            return;
        }
        $import = Import::query()->with('person')->findOrFail($this->import);
        if (StoredFile::with($import->file_id, fn (string $path): bool => $this->run($import, $path, $ledger))) {
            Artisan::call(IndexStructures::class, ['--when-behind' => true]);
        }
    }

    /** @return bool whether it was taken over */
    private function run(Import $import, string $path, Ledger $ledger): bool
    {
        $importer = $import->subject->importer();
        $faults = new Faults;
        try {
            $importer->check($this->rows($import, $path), $faults);
            if ($faults->count > 0) {
                $import->update(['state' => 'refused', 'fault_count' => $faults->count, 'faults' => $faults->first, 'ended_at' => CarbonImmutable::now()]);

                return false;
            }
            // Said before the transaction, so that others see it; from here on it cannot be cancelled.
            if (Import::query()->where('id', $import->id)->where('state', 'checking')->update(['state' => 'writing']) === 0) {
                return false;
            }
            DB::transaction(function () use ($import, $importer, $path, $ledger): void {
                $outcome = $importer->write($this->rows($import, $path, told: false), $import->person, Day::parse($import->first_day));
                $ledger->record($import->person->login, 'import.done', Str::limit($import->file, Ledger::LONGEST_SUBJECT - 3), ['file' => $import->file, 'subject' => $import->subject->value, 'sha256' => $import->sha256, 'outcome' => $outcome]);
                $import->update(['state' => 'done', 'outcome' => $outcome, 'ended_at' => CarbonImmutable::now()]);
            });
        } catch (Refusal $refusal) {
            $import->update(['state' => 'refused', 'fault_count' => 1, 'faults' => [['row' => 0, 'column' => '', 'reason' => $refusal->getMessage()]], 'ended_at' => CarbonImmutable::now()]);

            return false;
        } catch (Cancelled) {
            return false;
        }

        return true;
    }

    public function failed(\Throwable $fault): void
    {
        Import::query()->where('id', $this->import)->update(['state' => 'failed', 'outcome' => 'It broke off; nothing of it was saved. Try it again, and tell the administrator if it breaks off again.', 'ended_at' => CarbonImmutable::now()]);
    }

    /** @return \Generator<int, array<string, string>> */
    private function rows(Import $import, string $path, bool $told = true): \Generator
    {
        $importer = $import->subject->importer();
        $count = 0;
        foreach ((new SheetReader($path, $importer::columns(), $importer::needed()))->rows() as $number => $row) {
            if (++$count % self::TOLD_EVERY === 0 && $told) {
                $this->tell($import, $count);
            }
            yield $number => $row;
        }
        if ($told) {
            $this->tell($import, $count);
        }
    }

    private function tell(Import $import, int $rows): void
    {
        if (Import::query()->where('id', $import->id)->where('state', 'checking')->update(['rows' => $rows]) === 0) {
            throw new Cancelled;
        }
    }
}
