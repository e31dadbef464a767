<?php

declare(strict_types=1);

namespace App\Requests\Models;

use App\Attachments\Attachable;
use App\Attachments\Models\ChangeFile;
use App\Http\SavedInTurn;
use App\People\Models\Person;
use App\Problems\Models\ProblemReport;
use App\Structures\Models\Item;
use App\Structures\Models\NamedOrder;
use App\Vocabulary\ChangeRow;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Orthotaxis\Core\Change\OrderOfWork;
use Orthotaxis\Core\Change\RequestState;

/**
 * @property int $id
 * @property string $number
 * @property string $title
 * @property string $reason
 * @property string $source
 * @property string $site
 * @property string $priority
 * @property string $description
 * @property RequestState $state
 * @property string $finding
 * @property string $decision_reason
 * @property int $raised_by
 * @property ?int $decided_by
 * @property CarbonImmutable $raised_at
 * @property ?CarbonImmutable $decided_at
 * @property int $version
 * @property ?int $gathered_into_id
 * @property ?int $meeting_place
 * @property ?int $split_from_id
 * @property-read ?ChangeRequest $gatheredInto
 * @property-read Collection<int, ChangeRequest> $gathered
 * @property-read ?ChangeRequest $splitFrom
 * @property-read Collection<int, ChangeRequest> $splitOff
 * @property-read Collection<int, ProblemReport> $reports
 * @property-read Collection<int, ChangeFile> $files
 * @property-read Person $raisedBy
 * @property-read ?Person $decidedBy
 * @property-read Collection<int, Item> $items
 * @property-read Collection<int, NamedOrder> $orders
 */
final class ChangeRequest extends Model implements Attachable
{
    use SavedInTurn;

    public $timestamps = false;

    protected $casts = ['state' => RequestState::class, 'raised_at' => 'immutable_datetime', 'decided_at' => 'immutable_datetime'];

    /** @return BelongsTo<Person, $this> */
    public function raisedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'raised_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function decidedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'decided_by');
    }

    /** @return BelongsToMany<Item, $this> */
    public function items(): BelongsToMany
    {
        return $this->belongsToMany(Item::class, 'change_request_items', 'request_id', 'item_id')->orderBy('items.number');
    }

    /** @return BelongsToMany<NamedOrder, $this> */
    public function orders(): BelongsToMany
    {
        return $this->belongsToMany(NamedOrder::class, 'change_order_requests', 'request_id', 'order_id')->orderBy('order_numbers.id');
    }

    /** @return BelongsTo<ChangeRequest, $this> */
    public function gatheredInto(): BelongsTo
    {
        return $this->belongsTo(self::class, 'gathered_into_id');
    }

    /** @return HasMany<ChangeRequest, $this> */
    public function gathered(): HasMany
    {
        return $this->hasMany(self::class, 'gathered_into_id')->orderBy('id');
    }

    /** @return BelongsTo<ChangeRequest, $this> */
    public function splitFrom(): BelongsTo
    {
        return $this->belongsTo(self::class, 'split_from_id');
    }

    /** @return HasMany<ChangeRequest, $this> */
    public function splitOff(): HasMany
    {
        return $this->hasMany(self::class, 'split_from_id')->orderBy('id');
    }

    /** @return BelongsToMany<ProblemReport, $this> */
    public function reports(): BelongsToMany
    {
        return $this->belongsToMany(ProblemReport::class, 'problem_report_requests', 'request_id', 'report_id')->orderBy(
            'problem_reports.id',
        );
    }

    /** @return HasMany<ChangeFile, $this> */
    public function files(): HasMany
    {
        return $this->hasMany(ChangeFile::class, 'request_id')->orderBy('brought_at');
    }

    /** As it appears in any list. */
    public function row(): ChangeRow
    {
        return new ChangeRow(
            number: $this->number,
            type: 'request',
            title: $this->title,
            priority: $this->priority,
            state: $this->state->value,
            step: OrderOfWork::current($this->state, null)->value,
            open: $this->state->isOpen(),
            raised_at: $this->raised_at->toIso8601String(),
            raised_by: $this->raisedBy->name,
            site: $this->site,
            source: $this->source,
            effective_on: null,
            waits_for: $this->state === RequestState::Returned ? $this->raisedBy->name : null,
        );
    }

    public function number(): string
    {
        return $this->number;
    }

    public function fileKey(): string
    {
        return 'request_id';
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
