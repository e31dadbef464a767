<?php

declare(strict_types=1);

namespace App\Structures\Compare;

use App\Days\Today;
use App\Structures\MistypedNumbers;
use App\Structures\Models\ComparisonFile;
use App\Structures\Models\Content;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/** What one side of a comparison is, as its address says: an item, the picture of the product, and a day, a revision or an order. */
final readonly class SideSpec
{
    public function __construct(
        public Item $item,
        public StructureView $view,
        public Day $day,
        public ?string $revision = null,
        public ?string $order = null,
        public ?ComparisonFile $file = null,
        public ?int $iteration = null,
    ) {}

    /**
     * @param  string  $side  left or right
     *
     * @throws Refusal naming the field
     */
    public static function of(Request $request, string $side): self
    {
        $text = static fn(string $name): string => trim($request->string($name)->toString());
        $number = $text($side);
        $item =
            Item::query()->where('number', $number)->first() ??
            throw Refusal::at($side, $number === '' ? 'Name an item.' : (new MistypedNumbers())->noSuchItem($number));
        $on = $text("{$side}_on");

        return new self(
            item: $item,
            view: StructureView::asked($request, "{$side}_"),
            day: $on === '' ? Today::day() : Day::parse($on, "{$side}_on"),
            revision: $text("{$side}_revision") ?: null,
            order: $text("{$side}_order") ?: null,
            file: self::file($text("{$side}_file"), "{$side}_file"),
            iteration: $text("{$side}_iteration") === '' ? null : (int) $text("{$side}_iteration"),
        );
    }

    /**
     * The revision of what a plant builds that it names; plants count apart from engineering.
     *
     * @throws Refusal at the place, when the plant has none of that name
     */
    public function builtRevision(string $place): Content
    {
        $own = DB::selectOne(
            "SELECT of.id FROM contents of WHERE {$this->view->contents()} AND of.item_id = ? AND of.code = ?
            AND of.status IN ('released', 'superseded', 'obsolete')",
            [$this->item->id, $this->revision],
        );

        return Content::query()
            ->where('id', $own->id ?? 0)
            ->first() ??
            throw Refusal::at(
                $place,
                "{$this->item->number} has no manufacturing revision {$this->revision}" .
                    ($this->view->plant === '' ? '.' : " at {$this->view->plant}."),
            );
    }

    private static function file(string $id, string $place): ?ComparisonFile
    {
        if ($id === '') {
            return null;
        }

        return (Str::isUuid($id) ? ComparisonFile::query()->find($id) : null) ??
            throw Refusal::at($place, 'There is no such file here. Upload it again.');
    }
}
