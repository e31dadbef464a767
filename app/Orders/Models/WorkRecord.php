<?php

declare(strict_types=1);

namespace App\Orders\Models;

use App\Structures\Models\Content;
use App\Tables\ReadOften;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Revision\RevisionStatus;

/**
 * What an order does to one subject of an item.
 *
 * @property int $id
 * @property int $order_item_id
 * @property string $kind
 * @property string $plant
 * @property ?int $base_id the content that the edits start from
 * @property-read OrderItem $row
 * @property-read ?Content $base
 * @property-read Collection<int, EditRecord> $edits
 * @property-read Collection<int, Iteration> $iterations
 */
final class WorkRecord extends Model
{
    use ReadOften;

    protected $table = 'works';

    public $timestamps = false;

    /** @return BelongsTo<OrderItem, $this> */
    public function row(): BelongsTo
    {
        return $this->belongsTo(OrderItem::class, 'order_item_id');
    }

    /** @return BelongsTo<Content, $this> */
    public function base(): BelongsTo
    {
        return $this->belongsTo(Content::class);
    }

    /** @return HasMany<EditRecord, $this> all that was ever done, in order */
    public function edits(): HasMany
    {
        return $this->hasMany(EditRecord::class, 'work_id')->orderBy('number');
    }

    /** @return HasMany<Iteration, $this> newest first */
    public function iterations(): HasMany
    {
        return $this->hasMany(Iteration::class, 'work_id')->orderByDesc('number');
    }

    /** @return ?int the content that is released now of the subject: another than the base where somebody has released it meanwhile */
    public function newestBase(): ?int
    {
        if ($this->kind === Subject::ENGINEERING) {
            return $this->row->item->workBase()?->id;
        }

        return Content::query()
            ->where([
                'item_id' => $this->row->item_id,
                'kind' => $this->kind,
                'plant' => $this->plant,
                'status' => RevisionStatus::Released,
            ])
            ->first()?->id;
    }

    public function subject(): Subject
    {
        return new Subject($this->kind, $this->row->item->number, $this->plant);
    }

    /** @return Collection<int, EditRecord> what holds now, in order */
    public function holding(): Collection
    {
        return $this->edits->filter(static fn(EditRecord $edit): bool => $edit->holds())->values();
    }

    /** @return Collection<int, EditRecord> what was undone and can be done again, in order */
    public function undone(): Collection
    {
        return $this->edits->whereNotNull('withdrawn_at')->whereNull('discarded_at')->values();
    }

    /** @return list<LineEdit> what holds now, in order, where the subject is lines */
    public function lineEdits(): array
    {
        return $this->holding()->map(static fn(EditRecord $edit): LineEdit => $edit->ofLine())->all();
    }
}
