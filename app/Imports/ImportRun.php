<?php

declare(strict_types=1);

namespace App\Imports;

use App\Files\StoredFile;
use App\Imports\Events\ImportDone;
use App\Imports\Models\Import;
use App\Ledger\Ledger;
use App\Tables\SheetReader;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/** Checks the whole of a file, and writes it when nothing is wrong. Tells how far it is, and stops when it is cancelled. */
final readonly class ImportRun
{
    private const TOLD_EVERY = 2_000;

    public function __construct(private Ledger $ledger) {}

    public function __invoke(Import $import): void
    {
        StoredFile::with($import->file_id, fn(string $path) => $this->run($import, $path));
    }

    private function run(Import $import, string $path): void
    {
        $importer = $import->subject->importer();
        $faults = new Faults();
        try {
            $importer->check($this->rows($import, $path), $faults);
            if ($faults->count > 0) {
                $this->refuse($import, $faults, $path);

                return;
            }
            // Said before the transaction, so that others see it; from here on it cannot be cancelled.
            if (
                Import::query()
                    ->where('id', $import->id)
                    ->where('state', 'checking')
                    ->update(['state' => 'writing']) === 0
            ) {
                return;
            }
            $this->ledger->together(function () use ($import, $importer): void {
                $outcome = $importer->write($import->person, Day::parse($import->first_day));
                event(
                    new ImportDone(
                        $import->person->login,
                        Str::limit($import->file, Ledger::LONGEST_SUBJECT - 3),
                        file: $import->file,
                        subject: $import->subject->value,
                        sha256: $import->sha256,
                        outcome: $outcome,
                    ),
                );
                $ended = Import::query()
                    ->where('id', $import->id)
                    ->where('state', 'writing')
                    ->update(['state' => 'done', 'outcome' => $outcome, 'ended_at' => CarbonImmutable::now()]);
                // Told as lost meanwhile, nothing of it is written.
                $ended === 1 || throw new Cancelled();
            });
        } catch (Refusal $refusal) {
            $this->end($import, [
                'state' => 'refused',
                'fault_count' => 1,
                'faults' => [['row' => 0, 'column' => '', 'reason' => $refusal->getMessage()]],
            ]);
        } catch (Cancelled) {
            // Nothing was written, or nothing of it stays.
        }
    }

    /** With the file as it was brought, its bad cells marked. */
    private function refuse(Import $import, Faults $faults, string $path): void
    {
        $import->fill(['faults' => $faults->inOrder()]);
        $marked = ($import->faults[0]['row'] ?? 0) === 0 ? null : MarkedSheet::write($import, $path);
        $kept = $marked === null ? null : StoredFile::keep($marked);
        if ($marked !== null) {
            @unlink($marked);
        }
        $this->end($import, ['state' => 'refused', 'fault_count' => $faults->count, 'faults' => $import->faults, 'marked_id' => $kept]);
    }

    /**
     * Whoever cancelled it meanwhile has the last word.
     *
     * @param  array<string, mixed>  $as
     */
    private function end(Import $import, array $as): void
    {
        $values = array_intersect_key(
            $import->fill($as + ['ended_at' => CarbonImmutable::now()])->getAttributes(),
            $as + ['ended_at' => true],
        );
        Import::query()->where('id', $import->id)->whereNotIn('state', Import::ENDED)->update($values);
    }

    /** @return \Generator<int, array<string, string>> */
    private function rows(Import $import, string $path): \Generator
    {
        $importer = $import->subject->importer();
        $count = 0;
        foreach ((new SheetReader($path, $importer::columns(), $importer::needed()))->rows() as $number => $row) {
            if (++$count % self::TOLD_EVERY === 0) {
                $this->tell($import, $count);
            }
            yield $number => $row;
        }
        $this->tell($import, $count);
    }

    private function tell(Import $import, int $rows): void
    {
        if (
            Import::query()
                ->where('id', $import->id)
                ->where('state', 'checking')
                ->update(['rows' => $rows]) === 0
        ) {
            throw new Cancelled();
        }
    }
}
