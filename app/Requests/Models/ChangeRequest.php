<?php

declare(strict_types=1);

namespace App\Requests\Models;

use App\Attachments\Attachable;
use App\Attachments\Models\ChangeFile;
use App\Http\SavedInTurn;
use App\Paths\Models\ApprovalPath;
use App\Paths\Models\Signature;
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
 * @property ?int $path_id on which it is judged; null: one person decides
 * @property bool $path_by_rule whether a rule chooses the path, until the first signature
 * @property array<string, list<string>> $facts on which the steps of its path depend, as they were with the finding, by fact
 * @property ?CarbonImmutable $assessed_at since when it is being judged
 * @property int $version
 * @property ?int $gathered_into_id
 * @property ?int $meeting_place
 * @property ?int $split_from_id
 * @property-read ?ApprovalPath $path
 * @property-read Collection<int, Signature> $signatures
 * @property-read Collection<int, Person> $actors who can judge it on its path now
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

    protected $casts = [
        'state' => RequestState::class,
        'raised_at' => 'immutable_datetime',
        'decided_at' => 'immutable_datetime',
        'path_by_rule' => 'boolean',
        'facts' => 'array',
        'assessed_at' => 'immutable_datetime',
    ];

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

    /** @return BelongsTo<ApprovalPath, $this> */
    public function path(): BelongsTo
    {
        return $this->belongsTo(ApprovalPath::class, 'path_id');
    }

    /** @return HasMany<Signature, $this> newest first */
    public function signatures(): HasMany
    {
        return $this->hasMany(Signature::class, 'request_id')->orderByDesc('id');
    }

    /** @return BelongsToMany<Person, $this> */
    public function actors(): BelongsToMany
    {
        return $this->belongsToMany(Person::class, 'request_actors', 'request_id', 'person_id')->orderBy('people.name');
    }

    /** @return list<int> ids of who has made any of it: itself, what is gathered into it, and the reports it answers */
    public function proposers(): array
    {
        $others = [...$this->gathered()->pluck('raised_by')->all(), ...$this->reports()->pluck('problem_reports.raised_by')->all()];

        return [$this->raised_by, ...array_values(array_filter($others, is_int(...)))];
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
