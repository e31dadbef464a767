<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Revision\Sequence;

/** In which order the revisions of an item follow one another: as its category says, or else its kind. */
final class RevisionSequences
{
    /** @var array<string, string>|null kind => sequence, read once */
    private ?array $kinds = null;

    /** @var array<string, Sequence> by kind and category: an order asks of each of its items, several times */
    private array $known = [];

    public function of(Item $item): Sequence
    {
        return $this->known["{$item->getRawOriginal('kind')} {$item->category_id}"] ??=
            $item->category->sequence ?? $this->ofKind($item->kind);
    }

    public function ofKind(ItemKind $kind): Sequence
    {
        /** @var array<string, string> $read */
        $read = $this->kinds ?? DB::table('kind_sequences')->pluck('sequence', 'kind')->all();
        $this->kinds = $read;

        return Sequence::from($read[$kind->value] ?? Sequence::Letters->value);
    }
}
