<?php

declare(strict_types=1);

namespace App\Attachments\Models;

use App\Attachments\AttachmentRole;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file that belongs to a report or to a request.
 *
 * @property string $id
 * @property ?int $report_id
 * @property ?int $request_id
 * @property AttachmentRole $role
 * @property string $name
 * @property string $media_type
 * @property int $bytes
 * @property string $sha256
 * @property string $file_id
 * @property int $person_id
 * @property CarbonImmutable $brought_at
 * @property-read Person $person
 */
final class ChangeFile extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $casts = ['role' => AttachmentRole::class, 'brought_at' => 'immutable_datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
