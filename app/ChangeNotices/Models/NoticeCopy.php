<?php

declare(strict_types=1);

namespace App\ChangeNotices\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A change notice as one person has it.
 *
 * @property int $notice_id
 * @property int $person_id
 * @property list<string> $lists names of those by which it was sent; none: by hand
 * @property bool $acknowledge whether they say that they have read it
 * @property ?string $due_on by when
 * @property CarbonImmutable $sent_at last
 * @property int $times_sent
 * @property ?CarbonImmutable $opened_at
 * @property ?CarbonImmutable $acknowledged_at
 * @property-read ChangeNotice $notice
 * @property-read Person $person
 */
final class NoticeCopy extends Model
{
    protected $table = 'change_notice_copies';

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected $guarded = [];

    protected $casts = [
        'lists' => 'array',
        'acknowledge' => 'boolean',
        'sent_at' => 'immutable_datetime',
        'opened_at' => 'immutable_datetime',
        'acknowledged_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<ChangeNotice, $this> */
    public function notice(): BelongsTo
    {
        return $this->belongsTo(ChangeNotice::class, 'notice_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return Builder<self> those that somebody still has to acknowledge */
    public static function waiting(): Builder
    {
        return self::query()->where('acknowledge', true)->whereNull('acknowledged_at');
    }
}
