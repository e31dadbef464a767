<?php

declare(strict_types=1);

namespace App\Orders\Models;

use App\Http\SavedInTurn;
use App\Orders\Paths\OrderProgress;
use App\Paths\Models\ApprovalPath;
use App\Paths\Models\Signature;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Tables\ReadOften;
use App\Vocabulary\ChangeRow;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Orthotaxis\Core\Change\OrderOfWork;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Refusal;

/**
 * @property int $id
 * @property string $number
 * @property string $title
 * @property string $description
 * @property string $priority
 * @property OrderState $state
 * @property ?string $effective_on
 * @property int $author_id
 * @property ?int $editor_id
 * @property ?int $signer_id
 * @property ?int $path_id null: one person signs
 * @property bool $path_by_rule whether a rule chooses the path, until it is sent to review
 * @property ?CarbonImmutable $on_hold_since
 * @property string $on_hold_reason
 * @property ?int $on_hold_by
 * @property int $days_moved by which what is due of its review has moved while it was on hold
 * @property array<string, list<string>> $facts on which the steps of its path depend, as they were when it was sent to review
 * @property CarbonImmutable $raised_at
 * @property ?CarbonImmutable $sent_to_review_at
 * @property ?CarbonImmutable $released_at
 * @property ?CarbonImmutable $closed_at
 * @property int $version
 * @property ?int $parent_id the order to which it is subordinate
 * @property bool $with_parent whether it is released with its parent in one stroke
 * @property-read Person $author
 * @property-read ?Person $editor
 * @property-read ?Person $signer
 * @property-read ?ApprovalPath $path
 * @property-read ?Person $onHoldBy
 * @property-read ?self $parent
 * @property-read Collection<int, self> $subordinates
 * @property-read Collection<int, Person> $actors
 * @property-read Collection<int, OrderItem> $items
 * @property-read Collection<int, ChangeRequest> $requests
 * @property-read Collection<int, FollowUp> $followUps
 * @property-read Collection<int, Signature> $signatures
 * @property-read Collection<int, OrderWaiver> $waivers
 */
final class ChangeOrder extends Model
{
    use ReadOften;
    use SavedInTurn;

    public $timestamps = false;

    protected $casts = [
        'facts' => 'array',
        'path_by_rule' => 'boolean',
        'with_parent' => 'boolean',
        'on_hold_since' => 'immutable_datetime',
        'state' => OrderState::class,
        'raised_at' => 'immutable_datetime',
        'sent_to_review_at' => 'immutable_datetime',
        'released_at' => 'immutable_datetime',
        'closed_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'author_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function editor(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'editor_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function signer(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'signer_id');
    }

    /** @return HasMany<OrderItem, $this> */
    public function items(): HasMany
    {
        return $this->hasMany(OrderItem::class, 'order_id')->orderBy('id');
    }

    /** @return HasMany<FollowUp, $this> plants that take over later */
    public function followUps(): HasMany
    {
        return $this->hasMany(FollowUp::class, 'order_id')->orderBy('id');
    }

    /** @return BelongsToMany<ChangeRequest, $this> */
    public function requests(): BelongsToMany
    {
        return $this->belongsToMany(ChangeRequest::class, 'change_order_requests', 'order_id', 'request_id')->orderBy('change_requests.id');
    }

    /** @return BelongsToMany<Person, $this> those who can act on it now */
    public function actors(): BelongsToMany
    {
        return $this->belongsToMany(Person::class, 'acting_on_orders', 'order_id', 'person_id')->orderBy('name');
    }

    /** @return HasMany<Signature, $this> newest first */
    public function signatures(): HasMany
    {
        return $this->hasMany(Signature::class, 'order_id')->orderByDesc('id');
    }

    /** @return HasMany<OrderWaiver, $this> that hold */
    public function waivers(): HasMany
    {
        return $this->hasMany(OrderWaiver::class, 'order_id')->whereNull('withdrawn_at')->orderBy('id');
    }

    /** @return BelongsTo<ApprovalPath, $this> that it goes on; none: one person signs */
    public function path(): BelongsTo
    {
        return $this->belongsTo(ApprovalPath::class, 'path_id');
    }

    /** @return BelongsTo<self, $this> the order to which it is subordinate */
    public function parent(): BelongsTo
    {
        return $this->belongsTo(self::class, 'parent_id');
    }

    /** @return HasMany<self, $this> */
    public function subordinates(): HasMany
    {
        return $this->hasMany(self::class, 'parent_id')->orderBy('id');
    }

    /** Whether the order to which it is subordinate has to be released first, or releases it. */
    public function waitsForParent(): bool
    {
        return $this->parent !== null && $this->parent->released_at === null;
    }

    /** @return BelongsTo<Person, $this> who put it on hold */
    public function onHoldBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'on_hold_by');
    }

    /** Why nobody goes on with it now; null: it is not on hold. */
    public function holdup(): ?string
    {
        return $this->on_hold_since === null ? null : "{$this->number} is on hold: {$this->on_hold_reason}";
    }

    /** @throws Refusal while it is on hold */
    public function mustGoOn(): void
    {
        $holdup = $this->holdup();
        $holdup === null || throw Refusal::at('order', $holdup);
    }

    /** Whether its path asks this person at any step, whoever acts now. */
    public function isJudgedBy(Person $person): bool
    {
        return OrderProgress::of($this, [])->asks($person->id);
    }

    /** As it appears in any list. */
    public function row(): ChangeRow
    {
        $step = OrderOfWork::current(null, $this->state);

        return new ChangeRow(
            number: $this->number,
            type: 'order',
            title: $this->title,
            priority: $this->priority,
            state: $this->state->value,
            step: $step->value,
            open: !$this->state->hasEnded(),
            raised_at: $this->raised_at->toIso8601String(),
            raised_by: $this->author->name,
            site: null,
            source: null,
            effective_on: $this->effective_on,
            waits_for: $this->on_hold_since !== null
                ? 'on hold'
                : ($this->actors->isEmpty()
                    ? null
                    : $this->actors->pluck('name')->join(', ')),
            ahead: $this->state->isOpen(),
        );
    }

    /** The lines that a request proposes; they go by its number. */
    public static function proposedBy(ChangeRequest $request): ?self
    {
        return self::query()->where('number', $request->number)->where('state', OrderState::Proposed)->first();
    }

    /** @return Builder<self> those that are orders, not what a request proposes */
    public static function orders(): Builder
    {
        return self::query()->where('state', '!=', OrderState::Proposed);
    }

    /** @return Builder<self> the orders of a request, in the order in which they were raised */
    public static function ofRequest(ChangeRequest $request): Builder
    {
        return self::query()->whereRelation('requests', 'change_requests.id', $request->id)->orderBy('id');
    }
}
