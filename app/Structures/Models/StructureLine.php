<?php

declare(strict_types=1);

namespace App\Structures\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\Validity;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;

/**
 * @property int $id
 * @property int $revision_id
 * @property string $kind
 * @property string $plant
 * @property string $line_key
 * @property int $find
 * @property int $component_id
 * @property int $quantity millionths
 * @property Unit $unit
 * @property string $designators
 * @property string $notes
 * @property ?int $operation
 * @property bool $not_modelled
 * @property bool $phantom
 * @property ?string $valid_from
 * @property ?string $valid_to
 * @property-read Item $component
 */
final class StructureLine extends Model
{
    public $timestamps = false;

    protected $casts = ['unit' => Unit::class, 'not_modelled' => 'boolean', 'phantom' => 'boolean'];

    /** @return BelongsTo<Item, $this> */
    public function component(): BelongsTo
    {
        return $this->belongsTo(Item::class, 'component_id');
    }

    public function toCore(): Line
    {
        return new Line(
            $this->line_key,
            $this->find,
            $this->component->number,
            Quantity::ofMillionths($this->quantity),
            $this->unit,
            $this->designators,
            $this->notes,
            $this->operation,
            $this->not_modelled,
            new Validity(
                $this->valid_from === null ? null : Day::parse($this->valid_from),
                $this->valid_to === null ? null : Day::parse($this->valid_to),
            ),
            $this->phantom,
        );
    }

    /** @return array<string, mixed> the columns that keep a line of core */
    public static function columns(Line $line, int $component): array
    {
        return [
            'line_key' => $line->key,
            'find' => $line->find,
            'component_id' => $component,
            'quantity' => $line->quantity->millionths,
            'unit' => $line->unit->value,
            'designators' => $line->designators,
            'notes' => $line->notes,
            'operation' => $line->operation,
            'not_modelled' => $line->notModelled,
            'phantom' => $line->phantom,
            'valid_from' => $line->validity->from?->__toString(),
            'valid_to' => $line->validity->to?->__toString(),
        ];
    }
}
