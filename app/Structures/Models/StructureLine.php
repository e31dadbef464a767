<?php

declare(strict_types=1);

namespace App\Structures\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;

/**
 * @property int $id
 * @property int $content_id
 * @property string $line_key
 * @property int $find
 * @property int $component_id
 * @property int $quantity millionths
 * @property Unit $unit
 * @property string $designators
 * @property string $notes
 * @property ?int $operation
 * @property int $scrap millionths of the quantity
 * @property ?string $takes_over the key of an engineering line
 * @property bool $not_modelled
 * @property bool $phantom
 * @property bool $by_product
 * @property ?string $valid_from
 * @property ?string $valid_to
 * @property ?int $pinned_id
 * @property-read Item $component
 */
final class StructureLine extends Model
{
    public $timestamps = false;

    protected $casts = ['unit' => Unit::class, 'not_modelled' => 'boolean', 'phantom' => 'boolean', 'by_product' => 'boolean'];

    /** @return BelongsTo<Item, $this> */
    public function component(): BelongsTo
    {
        return $this->belongsTo(Item::class, 'component_id');
    }

    /**
     * @param  ?int  $pinned  the revision of the component that the line names, if it names one
     * @return array<string, string|int|bool|null> the columns that keep a line of core
     */
    public static function columns(Line $line, int $component, ?int $pinned = null): array
    {
        return [
            'line_key' => $line->key,
            'find' => $line->find,
            'component_id' => $component,
            'pinned_id' => $pinned,
            'quantity' => $line->quantity->millionths,
            'unit' => $line->unit->value,
            'designators' => $line->designators,
            'notes' => $line->notes,
            'operation' => $line->operation,
            'scrap' => $line->scrap,
            'takes_over' => $line->takesOver === '' ? null : $line->takesOver,
            'not_modelled' => $line->notModelled,
            'phantom' => $line->phantom,
            'by_product' => $line->byProduct,
            'valid_from' => $line->validity->from?->__toString(),
            'valid_to' => $line->validity->to?->__toString(),
        ];
    }
}
