<?php

declare(strict_types=1);

namespace App\Discussion\Models;

use App\Attachments\Said\SaidFile;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What somebody said on a report, request, order or item. It stays as it was said; what is decided is pinned.
 *
 * @property int $id
 * @property string $subject number of what it is said on
 * @property int $person_id
 * @property string $text
 * @property CarbonImmutable $made_at
 * @property string $item parent of the line that it is said of; empty: of the whole
 * @property string $work
 * @property string $part key of the line
 * @property string $called the line as people called it then
 * @property-read Collection<int, SaidFile> $files
 * @property ?int $pinned_by
 * @property ?CarbonImmutable $pinned_at
 * @property-read Person $person
 * @property-read ?Person $pinnedBy
 */
final class Comment extends Model
{
    public $timestamps = false;

    protected $casts = ['made_at' => 'immutable_datetime', 'pinned_at' => 'immutable_datetime'];

    /** @return HasMany<SaidFile, $this> */
    public function files(): HasMany
    {
        return $this->hasMany(SaidFile::class)->orderBy('id');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function pinnedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'pinned_by');
    }
}
