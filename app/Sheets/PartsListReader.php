<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Days\Today;
use App\Documents\Models\ItemDocument;
use App\Documents\Models\ItemFile;
use App\Files\StoredFile;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Sheets\Data\CheckedSheet;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use App\Structures\StructureReader;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\Revision\Phase;
use Orthotaxis\Core\Sheet\PartsListCheck;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/**
 * Holds the parts list and the balloons of a sheet against the structure that it shows: on the day on which the sheet holds, and of a draft
 * as its order makes it.
 */
final readonly class PartsListReader
{
    public function __construct(private StructureReader $structures, private OrderReader $orders) {}

    /** @return list<CheckedSheet> of each item that it shows and that is made of anything */
    public function of(ItemFile $file): array
    {
        $texts = StoredFile::with($file->file_id, static fn(string $path): ?SheetTexts => SheetTexts::of($path, $file->media_type));
        if ($texts === null) {
            return [];
        }
        $shown = ItemDocument::query()->with('item')->where('document_id', $file->item_id)->orderBy('id')->get()->pluck('item');
        $day = self::day($file);
        $checked = [];
        foreach ($shown->isEmpty() ? [$file->item] : $shown as $item) {
            [$structure, $revision] = $this->structure($file, $item, $day);
            if (count($structure) === 0) {
                continue;
            }
            $words = array_merge(...array_map(static fn($text): array => preg_split('/\s+/', $text->text) ?: [], $texts->texts));
            $named = Item::query()->whereIn('number', array_values(array_unique($words)))->pluck('number')->all();
            $check = PartsListCheck::of(
                $texts->texts,
                $texts->tolerance,
                $structure,
                items: [...array_values(array_filter($named, is_string(...))), ...$structure->components()],
                not: [$file->item->number, $item->number],
            );
            if ($check->rows > 0 || $check->balloons > 0) {
                $checked[] = CheckedSheet::of($item, $revision, $check);
            }
        }

        return $checked;
    }

    /** A day on which the sheet holds. */
    private static function day(ItemFile $file): Day
    {
        $today = Today::day();
        $own = $file->revision;

        return match ($own?->dated()->phase($today)) {
            Phase::Coming => $own->effective_from === null ? $today : Day::parse($own->effective_from),
            Phase::Superseded, Phase::Obsolete => $own->effective_to === null ? $today : Day::parse($own->effective_to)->plusDays(-1),
            default => $today,
        };
    }

    /** @return array{Structure, string} with the lines of the day, and the revision that has them */
    private function structure(ItemFile $file, Item $item, Day $day): array
    {
        $order = $file->revision_id === null && $file->order_id !== null ? ChangeOrder::query()->find($file->order_id) : null;
        foreach ($order === null ? [] : $this->orders->toCore($order)->works() as $work) {
            if ($work->subject->item === $item->number && $work->after instanceof EngineeringContent) {
                return [
                    self::on($work->after->structure, $order?->effective_on === null ? $day : Day::parse($order->effective_on)),
                    $work->base->becomes(),
                ];
            }
        }
        $revision = Revision::query()->where('item_id', $item->id)->tap(Revision::effectiveOn($day))->first();

        return $revision === null ? [new Structure(), ''] : [self::on($this->structures->ofRevision($revision->id), $day), $revision->code];
    }

    private static function on(Structure $structure, Day $day): Structure
    {
        return new Structure(array_values(array_filter($structure->lines, static fn(Line $line): bool => $line->validity->holdsOn($day))));
    }
}
