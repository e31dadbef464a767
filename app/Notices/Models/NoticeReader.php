<?php

declare(strict_types=1);

namespace App\Notices\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Notice\Cause;

/**
 * One person who is told of something: once, whatever else happens.
 *
 * @property int $notice_id
 * @property int $person_id
 * @property Cause $cause
 * @property CarbonImmutable $told_at when it happened
 * @property ?CarbonImmutable $read_at
 * @property ?CarbonImmutable $mail_due_at null: no mail
 * @property ?CarbonImmutable $mailed_at
 * @property-read Notice $notice
 * @property-read Person $person
 */
final class NoticeReader extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected $casts = [
        'cause' => Cause::class,
        'told_at' => 'immutable_datetime',
        'read_at' => 'immutable_datetime',
        'mail_due_at' => 'immutable_datetime',
        'mailed_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Notice, $this> */
    public function notice(): BelongsTo
    {
        return $this->belongsTo(Notice::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
