<?php

declare(strict_types=1);

namespace App\Packages\Jobs;

use App\Files\StoredFile;
use App\Ledger\Ledger;
use App\Packages\Events\PackageMade;
use App\Packages\Models\PackageState;
use App\Packages\Models\ReleasePackage;
use App\Packages\PackageWriter;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Orthotaxis\Core\Refusal;

/** Makes a package, file by file, and keeps it; ends when somebody cancels it. */
final class MakePackage implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 1_800;

    public function __construct(public readonly int $package)
    {
        $this->onQueue('long');
    }

    public function handle(PackageWriter $writer, Ledger $ledger): void
    {
        $one = ReleasePackage::query()
            ->with(['order', 'asker'])
            ->findOrFail($this->package);
        if ($one->state !== PackageState::Waiting) {
            return;
        }
        $one->update(['state' => PackageState::Making]);
        $path = (string) tempnam(sys_get_temp_dir(), 'orthotaxis-package-');
        try {
            $whole = $writer->write($one, $path, static fn(int $done, int $of): bool => self::goesOn($one, $done, $of));
            if (!$whole) {
                return;
            }
            $ledger->together(static function () use ($one, $path): void {
                $sha256 = (string) hash_file('sha256', $path);
                $one->update([
                    'state' => PackageState::Done,
                    'ended_at' => CarbonImmutable::now(),
                    'file_id' => StoredFile::keep($path),
                    'bytes' => (int) filesize($path),
                    'sha256' => $sha256,
                ]);
                event(new PackageMade($one->asker->login, $one->order->number, $one->language, $sha256));
            });
        } catch (Refusal $refusal) {
            $one->update([
                'state' => PackageState::Failed,
                'fault' => mb_substr($refusal->getMessage(), 0, 500),
                'ended_at' => CarbonImmutable::now(),
            ]);
        } finally {
            @unlink($path);
        }
    }

    public function failed(): void
    {
        ReleasePackage::query()
            ->where('id', $this->package)
            ->whereIn('state', [PackageState::Waiting, PackageState::Making])
            ->update(['state' => PackageState::Failed, 'fault' => 'Making it broke off. Try again.', 'ended_at' => CarbonImmutable::now()]);
    }

    private static function goesOn(ReleasePackage $one, int $done, int $of): bool
    {
        return ReleasePackage::query()
            ->where('id', $one->id)
            ->where('state', PackageState::Making)
            ->update(['steps_done' => $done, 'steps' => $of]) === 1;
    }
}
