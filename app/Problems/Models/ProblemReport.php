<?php

declare(strict_types=1);

namespace App\Problems\Models;

use App\Attachments\Attachable;
use App\Attachments\Models\ChangeFile;
use App\Http\SavedInTurn;
use App\People\Models\Person;
use App\Structures\Models\Item;
use App\Vocabulary\ChangeRow;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Orthotaxis\Core\Change\WorkStep;
use Orthotaxis\Core\Report\ReportState;

/**
 * What somebody saw go wrong.
 *
 * @property int $id
 * @property string $number
 * @property string $title
 * @property string $source
 * @property string $site
 * @property string $severity
 * @property string $description
 * @property string $serial
 * @property ReportState $state
 * @property string $answer the answer, or the question it was sent back with
 * @property ?int $same_as_id
 * @property int $raised_by
 * @property ?int $settled_by
 * @property CarbonImmutable $raised_at
 * @property ?CarbonImmutable $settled_at
 * @property int $version
 * @property-read Person $raisedBy
 * @property-read ?Person $settledBy
 * @property-read ?ProblemReport $sameAs
 * @property-read Collection<int, ProblemReport> $duplicates
 * @property-read Collection<int, Item> $items
 * @property-read Collection<int, NamedRequest> $requests
 * @property-read Collection<int, ChangeFile> $files
 */
final class ProblemReport extends Model implements Attachable
{
    use SavedInTurn;

    public $timestamps = false;

    protected $casts = ['state' => ReportState::class, 'raised_at' => 'immutable_datetime', 'settled_at' => 'immutable_datetime'];

    /** @return BelongsTo<Person, $this> */
    public function raisedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'raised_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function settledBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'settled_by');
    }

    /** @return BelongsTo<ProblemReport, $this> */
    public function sameAs(): BelongsTo
    {
        return $this->belongsTo(self::class, 'same_as_id');
    }

    /** @return HasMany<ProblemReport, $this> */
    public function duplicates(): HasMany
    {
        return $this->hasMany(self::class, 'same_as_id')->orderBy('id');
    }

    /** @return BelongsToMany<Item, $this> */
    public function items(): BelongsToMany
    {
        return $this->belongsToMany(Item::class, 'problem_report_items', 'report_id', 'item_id')->orderBy('items.number');
    }

    /** @return BelongsToMany<NamedRequest, $this> */
    public function requests(): BelongsToMany
    {
        return $this->belongsToMany(NamedRequest::class, 'problem_report_requests', 'report_id', 'request_id')->orderBy(
            'request_numbers.id',
        );
    }

    /** @return HasMany<ChangeFile, $this> */
    public function files(): HasMany
    {
        return $this->hasMany(ChangeFile::class, 'report_id')->orderBy('brought_at');
    }

    /** As it appears in any list. */
    public function row(): ChangeRow
    {
        return new ChangeRow(
            number: $this->number,
            type: 'report',
            title: $this->title,
            priority: $this->severity,
            state: $this->state->value,
            step: WorkStep::TakeIn->value,
            open: $this->state->isOpen(),
            raised_at: $this->raised_at->toIso8601String(),
            raised_by: $this->raisedBy->name,
            site: $this->site,
            source: $this->source,
            effective_on: null,
            waits_for: $this->state === ReportState::Returned ? $this->raisedBy->name : null,
        );
    }

    public function number(): string
    {
        return $this->number;
    }

    public function fileKey(): string
    {
        return 'report_id';
    }

    public function id(): int
    {
        return $this->id;
    }

    public function isOpen(): bool
    {
        return $this->state->isOpen();
    }
}
