<?php

declare(strict_types=1);

namespace App\Documents\Models;

use App\Documents\FileRole;
use App\People\Models\Person;
use App\Structures\Models\Item;
use App\Structures\Models\NamedOrder;
use App\Structures\Models\Revision;
use App\Tables\ReadOften;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file of an item: its sheet, a data sheet, a picture. Without a revision it is a draft for the coming one.
 *
 * @property string $id
 * @property int $item_id
 * @property ?int $revision_id
 * @property ?int $order_id
 * @property FileRole $role
 * @property string $name
 * @property string $media_type
 * @property int $bytes
 * @property string $sha256
 * @property string $file_id
 * @property ?int $person_id
 * @property CarbonImmutable $brought_at
 * @property-read Item $item
 * @property-read ?Revision $revision
 * @property-read ?NamedOrder $order
 * @property-read ?Person $person
 */
final class ItemFile extends Model
{
    use ReadOften;

    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $casts = ['role' => FileRole::class, 'brought_at' => 'immutable_datetime'];

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Revision, $this> */
    public function revision(): BelongsTo
    {
        return $this->belongsTo(Revision::class);
    }

    /** @return BelongsTo<NamedOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(NamedOrder::class, 'order_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
