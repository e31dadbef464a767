<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Contents\ContentKinds;
use App\Orders\Models\EditRecord;
use App\Orders\Models\WorkRecord;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Content\Merge;
use Orthotaxis\Core\Refusal;

/** What one piece of work starts from and what it makes of that, whatever its kind, while it is held for an edit. */
final readonly class WorkContents
{
    public function __construct(private ContentKinds $kinds) {}

    public function before(WorkRecord $work): Content
    {
        return $this->content($work, $work->base_id);
    }

    public function after(WorkRecord $work): Content
    {
        return $this->before($work)->edited($work->holding()->map(fn(EditRecord $edit): Edit => $this->edit($work, $edit))->all());
    }

    /**
     * Of many, in a number of queries that does not depend on how many.
     *
     * @param  list<WorkRecord>  $works
     * @param  ?\Closure(EditRecord): bool  $which  of the edits that hold; null: all
     * @return array<int, Content> by work
     *
     * @throws Refusal when what is left of the edits does not fit
     */
    public function afterAll(array $works, ?\Closure $which = null): array
    {
        $after = [];
        foreach (collect($works)->groupBy('kind') as $name => $some) {
            $kind = $this->kinds->of((string) $name);
            $bases = $kind->read($some->pluck('base_id')->filter()->unique()->values()->all());
            foreach ($some as $work) {
                $edits = $work->holding()->filter($which ?? static fn(): bool => true);
                $edits = $edits->map(fn(EditRecord $edit): Edit => $this->edit($work, $edit))->values()->all();
                $after[$work->id] = ($bases[$work->base_id] ?? $kind->none())->edited($edits);
            }
        }

        return $after;
    }

    /**
     * As it was when an iteration was kept.
     *
     * @throws Refusal when there is no such iteration
     */
    public function kept(WorkRecord $work, int $number): Content
    {
        $iteration =
            $work->iterations()->where('number', $number)->first() ??
            throw Refusal::at('iteration', "There is no iteration {$number} of this work.");

        return $this->content($work, $iteration->base_id)->edited(
            $work->edits
                ->whereIn('number', $iteration->edits)
                ->map(fn(EditRecord $edit): Edit => $this->edit($work, $edit))
                ->values()
                ->all(),
        );
    }

    /** What was done, beside what others have released meanwhile. */
    public function merge(WorkRecord $work, ?int $newest): Merge
    {
        $mine = $work->holding()->map(fn(EditRecord $edit): Edit => $this->edit($work, $edit))->all();

        return Merge::of($this->before($work), $this->content($work, $newest), $mine);
    }

    private function content(WorkRecord $work, ?int $id): Content
    {
        $kind = $this->kinds->of($work->kind);

        return $id === null ? $kind->none() : $kind->read([$id])[$id] ?? $kind->none();
    }

    public function edit(WorkRecord $work, EditRecord $edit): Edit
    {
        return $this->kinds->of($work->kind)->edit($edit->operation, $edit->version, $edit->part, $edit->fields);
    }
}
