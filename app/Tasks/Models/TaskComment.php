<?php

declare(strict_types=1);

namespace App\Tasks\Models;

use App\Attachments\Said\SaidFile;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What somebody said on a task. It stays as it was said.
 *
 * @property int $id
 * @property int $task_id
 * @property int $person_id
 * @property string $text
 * @property CarbonImmutable $made_at
 * @property-read Person $person
 * @property-read Collection<int, SaidFile> $files
 */
final class TaskComment extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['made_at' => 'immutable_datetime'];

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
}
