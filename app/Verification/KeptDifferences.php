<?php

declare(strict_types=1);

namespace App\Verification;

use App\Verification\Models\PlanningDifference;
use App\Verification\Models\Verification;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Verification\CopyDifference;
use Orthotaxis\Core\Verification\Mover;

/** What differs now, each row once, since when and why; what does not differ any more is gone. */
final readonly class KeptDifferences
{
    private const AT_ONCE = 2_000;

    /** Of each row of ours: which order released its revision, whether it was found the same since, and what planning answered last. */
    private const BACKGROUND = <<<'SQL'
    SELECT a.key, c.order_id, e.id AS entry, e.answer,
        EXISTS (SELECT FROM verifications v WHERE v.items IS NULL AND v.state = 'done' AND v.id < :run AND v.started_at > c.released_at) AS verified
    FROM jsonb_to_recordset(:rows::jsonb) AS a (key text, structure text, plant text, item text, revision text, part text, place text, component text)
    JOIN items i ON i.number = a.item
    JOIN contents c ON c.item_id = i.id AND c.kind = a.structure AND c.plant = a.plant AND c.code = a.revision AND c.status IN ('released', 'superseded', 'obsolete')
    LEFT JOIN LATERAL (
        SELECT e.id, e.answer FROM handover_entries e
        WHERE e.record ->> 'item' = a.item AND e.record ->> 'structure' = a.structure AND coalesce(e.record ->> 'plant', '') = a.plant
            AND e.record ->> 'revision' = a.revision AND e.record ->> 'action' <> 'remove' AND CASE a.part
                WHEN 'line' THEN e.record ->> 'find' = a.place AND e.record ->> 'component' = a.component
                WHEN 'operation' THEN e.record ->> 'find' IS NULL AND e.record ->> 'operation' = a.place
                WHEN 'field' THEN concat_ws('@', e.record ->> 'field', e.record ->> 'of') = a.place
                ELSE e.record ->> 'find' IS NULL AND e.record ->> 'operation' IS NULL AND e.record ->> 'field' IS NULL END
        ORDER BY e.id DESC LIMIT 1
    ) e ON true
    SQL;

    /**
     * @param  list<string>  $items  of which it was compared
     * @param  list<CopyDifference>  $differences
     */
    public function keep(Verification $run, array $items, array $differences): void
    {
        DB::transaction(static function () use ($run, $items, $differences): void {
            $ofItems = PlanningDifference::query()->whereIn('item', $items);
            $known = $ofItems
                ->clone()
                ->get(['key', 'structure', 'plant', 'item', 'revision', 'mover', 'found_at'])
                ->keyBy('key')
                ->all();
            foreach (array_chunk($differences, self::AT_ONCE) as $some) {
                PlanningDifference::query()->upsert(self::rows($run, $some, $known), ['key']);
            }
            $ofItems->where('verification_id', '<>', $run->id)->delete();
        });
    }

    /** After all was compared: what it has not found differs no more. */
    public function forget(Verification $run): void
    {
        PlanningDifference::query()->where('verification_id', '<>', $run->id)->delete();
    }

    /**
     * @param  list<CopyDifference>  $differences
     * @param  array<string, PlanningDifference>  $known
     * @return list<array<string, mixed>>
     */
    private static function rows(Verification $run, array $differences, array $known): array
    {
        $background = self::background($run, $differences);
        $differed = $successors = [];
        foreach ($known as $row) {
            $differed["{$row->structure}\t{$row->plant}\t{$row->item}\t{$row->revision}"] = true;
        }
        $movers = [];
        foreach ($differences as $at => $one) {
            $row = $one->row();
            $behind = $background[$row->key] ?? null;
            $before = $known[$row->key] ?? null;
            if ($one->ours !== null) {
                $subject = "{$row->subject->kind}\t{$row->subject->plant}\t{$row->subject->item}";
                $wasEqual =
                    $before?->mover === Mover::There || ($behind?->verified === true && !isset($differed["{$subject}\t{$row->revision}"]));
                $movers[$at] = Mover::of($one, $behind?->answer, $wasEqual);
                if ($row->part === '' && $one->theirs === null) {
                    $successors[$subject] = [$movers[$at], $behind?->order_id];
                }
            }
        }
        $now = CarbonImmutable::now();
        $rows = [];
        foreach ($differences as $at => $one) {
            $row = $one->row();
            $behind = $background[$row->key] ?? null;
            [$successor, $order] = $successors["{$row->subject->kind}\t{$row->subject->plant}\t{$row->subject->item}"] ?? [null, null];
            $rows[] = [
                'key' => $row->key,
                'structure' => $row->subject->kind,
                'plant' => $row->subject->plant,
                'item' => $row->subject->item,
                'revision' => $row->revision,
                'mark' => $one->mark()->value,
                'ours' => $one->ours?->text(),
                'theirs' => $one->theirs?->text(),
                'mover' => ($movers[$at] ?? Mover::of($one, null, false, $successor))->value,
                'order_id' => $behind->order_id ?? $order,
                'handover_entry_id' => $one->ours === null ? null : $behind?->entry,
                'found_at' => $known[$row->key]->found_at ?? $now,
                'verification_id' => $run->id,
            ];
        }

        return $rows;
    }

    /**
     * @param  list<CopyDifference>  $differences
     * @return array<string, object{order_id: ?int, entry: ?int, answer: ?string, verified: bool}> by key
     */
    private static function background(Verification $run, array $differences): array
    {
        $asked = array_map(static function (CopyDifference $one): array {
            $row = $one->row();

            return [
                'key' => $row->key,
                'structure' => $row->subject->kind,
                'plant' => $row->subject->plant,
                'item' => $row->subject->item,
                'revision' => $row->revision,
                'part' => $row->part,
                'place' => $row->place,
                'component' => $row->component,
            ];
        }, $differences);
        $rows = DB::select(self::BACKGROUND, ['run' => $run->id, 'rows' => json_encode($asked, JSON_THROW_ON_ERROR)]);

        return array_column($rows, null, 'key');
    }
}
