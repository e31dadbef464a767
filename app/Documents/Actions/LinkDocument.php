<?php

declare(strict_types=1);

namespace App\Documents\Actions;

use App\Documents\Events\DocumentLinked;
use App\Documents\Events\DocumentUnlinked;
use App\Documents\Models\ItemDocument;
use App\Documents\RevisionWork;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Structures\ItemKind;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use Orthotaxis\Core\Refusal;

/** Says that a drawing or document describes an item, as its newest revision is. */
final readonly class LinkDocument
{
    public function __construct(private Ledger $ledger, private RevisionWork $work) {}

    public function link(Person $by, string $number, string $documentNumber): void
    {
        $this->ledger->together(function () use ($by, $number, $documentNumber): void {
            $item = Item::query()->with('released')->where('number', $number)->firstOrFail();
            $document =
                Item::query()->where('number', $documentNumber)->first() ??
                throw Refusal::at('document', (new MistypedNumbers())->noSuchItem($documentNumber));
            if (!in_array($document->kind, [ItemKind::Document, ItemKind::Drawing], true)) {
                throw Refusal::at('document', "{$documentNumber} is neither a drawing nor a document.");
            }
            if (ItemDocument::query()->where('item_id', $item->id)->where('document_id', $document->id)->exists()) {
                throw Refusal::at('document', "{$documentNumber} describes {$number} already.");
            }
            $this->work->mustBeFree($by, [$item->id, $document->id], 'document');
            ItemDocument::query()->create([
                'item_id' => $item->id,
                'document_id' => $document->id,
                'shows_revision_id' => $item->released?->id,
            ]);
            event(new DocumentLinked($by->login, $number, $documentNumber, $item->released?->code));
        });
    }

    public function unlink(Person $by, string $number, string $documentNumber): void
    {
        $this->ledger->together(function () use ($by, $number, $documentNumber): void {
            $link =
                ItemDocument::query()
                    ->whereRelation('item', 'number', $number)
                    ->whereRelation('document', 'number', $documentNumber)
                    ->first() ?? throw Refusal::at('document', "{$documentNumber} does not describe {$number}.");
            $this->work->mustBeFree($by, [$link->item_id, $link->document_id], 'document');
            $link->delete();
            event(new DocumentUnlinked($by->login, $number, $documentNumber));
        });
    }
}
