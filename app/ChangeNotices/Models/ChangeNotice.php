<?php

declare(strict_types=1);

namespace App\ChangeNotices\Models;

use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What a released order tells those whom it concerns. It is written once; the database refuses to change it.
 *
 * @property int $id
 * @property int $order_id
 * @property string $number
 * @property string $content JSON as NoticeContent has it
 * @property string $sha256 of the content
 * @property int $issued_by
 * @property CarbonImmutable $issued_at
 * @property-read ChangeOrder $order
 * @property-read Person $issuer
 * @property-read Collection<int, NoticeCopy> $copies
 */
final class ChangeNotice extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['issued_at' => 'immutable_datetime'];

    /** The notice of an order goes by the digits of its number: ECO-00085 gives ECN-00085. */
    public static function numberFor(string $order): string
    {
        return 'ECN-' . (preg_replace('/^\D+/', '', $order) ?? $order);
    }

    /** @return BelongsTo<ChangeOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(ChangeOrder::class, 'order_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function issuer(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'issued_by');
    }

    /** @return HasMany<NoticeCopy, $this> */
    public function copies(): HasMany
    {
        return $this->hasMany(NoticeCopy::class, 'notice_id');
    }
}
