<?php

declare(strict_types=1);

namespace App\Structures\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Orthotaxis\Core\Manufacturing\TakenOver;
use Orthotaxis\Core\Revision\Sequence;

/**
 * @property int $id
 * @property ?int $parent_id the category it stands under
 * @property string $code
 * @property string $name
 * @property ?Sequence $sequence the revision sequence of its items; null: as their kind says
 * @property string $number_prefix
 * @property int $number_width
 * @property bool $number_check
 * @property int $number_next
 * @property list<array{name: string, label: string, required: bool}> $asked what its items are asked for
 * @property ?TakenOver $taken_over how plants take over what is in it; null: as the category that it stands under says
 * @property string $taken_over_reason why it is left out
 * @property int $version counted up by every setting
 * @property-read ?int $items_count
 * @property-read ?Category $over
 * @property-read Collection<int, UsualDisposition> $dispositions
 */
final class Category extends Model
{
    public $timestamps = false;

    protected $casts = ['sequence' => Sequence::class, 'number_check' => 'boolean', 'asked' => 'array', 'taken_over' => TakenOver::class];

    /** @return BelongsTo<Category, $this> */
    public function over(): BelongsTo
    {
        return $this->belongsTo(self::class, 'parent_id');
    }

    /** @return HasMany<UsualDisposition, $this> */
    public function dispositions(): HasMany
    {
        return $this->hasMany(UsualDisposition::class)->orderBy('kind');
    }

    /** @return HasMany<Item, $this> */
    public function items(): HasMany
    {
        return $this->hasMany(Item::class);
    }
}
