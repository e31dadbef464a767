<?php

declare(strict_types=1);

namespace App\Structures\Models;

use App\Structures\ItemKind;
use App\Tables\ReadOften;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Revision\DatedRevision;
use Orthotaxis\Core\Revision\InForce;
use Orthotaxis\Core\Revision\RevisionStatus;

/**
 * @property int $id
 * @property string $number
 * @property string $title
 * @property ItemKind $kind
 * @property int $category_id
 * @property Unit $unit
 * @property string $supply
 * @property bool $sold
 * @property ?int $standard_cost ten-thousandths of the currency unit
 * @property ?int $lead_time_days
 * @property ?string $supplier
 * @property ?int $mass milligrams
 * @property ?string $material
 * @property-read Category $category
 * @property-read ?Revision $released
 * @property-read Collection<int, Revision> $revisions
 * @property-read Collection<int, Revision> $everReleased
 * @property-read Collection<int, RevisingOrder> $revisingOrders
 * @property-read ?ItemPicture $picture
 */
final class Item extends Model
{
    use ReadOften;

    public $timestamps = false;

    protected $casts = ['kind' => ItemKind::class, 'unit' => Unit::class, 'sold' => 'boolean', 'attributes' => 'array'];

    /** @return BelongsTo<Category, $this> */
    public function category(): BelongsTo
    {
        return $this->belongsTo(Category::class);
    }

    /** @return HasMany<Revision, $this> newest first */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class)->orderByDesc('id');
    }

    /** @return HasOne<Revision, $this> the one released last, whether it is in force yet or not: what work on the next starts from */
    public function released(): HasOne
    {
        $released = $this->hasOne(Revision::class);
        $released->where('status', RevisionStatus::Released->value);

        return $released;
    }

    /** @return HasMany<Revision, $this> all that were ever released */
    public function everReleased(): HasMany
    {
        $released = $this->hasMany(Revision::class);
        $released->whereNotIn('status', [RevisionStatus::InWork->value, RevisionStatus::InReview->value]);

        return $released;
    }

    public function inForce(Day $day): InForce
    {
        return InForce::on($day, $this->everReleased->map(static fn(Revision $one): DatedRevision => $one->dated())->values()->all());
    }

    /** What work on it starts from: the released revision, or what was begun of the first one, if anything. */
    public function workBase(): ?Revision
    {
        return $this->released ?? $this->revisions()->first();
    }

    /** @return HasMany<RevisingOrder, $this> open orders under which it is being revised now */
    public function revisingOrders(): HasMany
    {
        return $this->hasMany(RevisingOrder::class)->orderBy('order_id');
    }

    /** @return HasOne<ItemPicture, $this> what is drawn of it, at a glance */
    public function picture(): HasOne
    {
        return $this->hasOne(ItemPicture::class);
    }

    /** @return Builder<self> with all that a row on screen shows of it */
    public static function rows(): Builder
    {
        return self::query()->with(['category', 'everReleased', 'revisingOrders', 'picture']);
    }
}
