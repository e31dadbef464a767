<?php

declare(strict_types=1);

namespace App\Sheets\Actions;

use App\Documents\Models\ItemFile;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Sheets\Events\SheetAddressMade;
use App\Sheets\Events\SheetAddressWithdrawn;
use App\Sheets\Models\SheetAddress;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;

/** Private addresses of sheets: each has one at a time, and it is withdrawn for good. */
final readonly class SheetAddresses
{
    public function __construct(private Ledger $ledger) {}

    /**
     * The one it has, or a new one.
     *
     * @throws Refusal of a draft
     */
    public function of(ItemFile $file, Person $by): SheetAddress
    {
        if ($file->revision_id === null) {
            throw Refusal::at('file', 'A draft has no address: nobody outside is to hold one.');
        }

        return SheetAddress::inUse($file->id) ??
            $this->ledger->together(static function () use ($file, $by): SheetAddress {
                // Two who print at once print the same.
                ItemFile::query()->where('id', $file->id)->lockForUpdate()->first();
                $known = SheetAddress::inUse($file->id);
                if ($known !== null) {
                    return $known;
                }
                $key = bin2hex(random_bytes(16));
                event(new SheetAddressMade($by->login, $file->item->number, $file->revision->code ?? '', $file->name));

                return SheetAddress::query()->create([
                    'file_id' => $file->id,
                    'key' => $key,
                    'key_hash' => SheetAddress::hash($key),
                    'made_by' => $by->id,
                    'made_at' => CarbonImmutable::now(),
                ]);
            });
    }

    /** @throws Refusal when it has none */
    public function withdraw(ItemFile $file, Person $by): void
    {
        $this->ledger->together(static function () use ($file, $by): void {
            $some = SheetAddress::query()
                ->where('file_id', $file->id)
                ->whereNull('withdrawn_at')
                ->update(['withdrawn_at' => CarbonImmutable::now(), 'withdrawn_by' => $by->id]);
            if ($some === 0) {
                throw Refusal::at('address', 'The sheet has no address.');
            }
            event(new SheetAddressWithdrawn($by->login, $file->item->number, $file->revision->code ?? '', $file->name));
        });
    }
}
