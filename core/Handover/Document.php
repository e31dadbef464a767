<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Handover;

use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Release\ReleasePlan;

/** A release as it is sent to planning. */
final readonly class Document
{
    /**
     * @param  string  $written  the moment it was written, ISO 8601 in UTC
     * @param  list<Entry>  $entries
     */
    private function __construct(
        public string $order,
        public string $title,
        public int $number,
        public string $written,
        public string $effectiveFrom,
        public array $entries,
    ) {}

    /**
     * @param  int  $number  the running number of hand-overs, never used twice
     * @param  array<string, IntroducedItem>  $introduced  what planning has to know of items that are released for the first time, by
     *     number
     */
    public static function of(ReleasePlan $plan, string $title, int $number, string $written, array $introduced = []): self
    {
        $entries = [];
        foreach ($plan->items as $item) {
            $entries[] = new Entry(
                count($entries) + 1,
                $item->supersedes === null ? EntryAction::Introduce : EntryAction::Supersede,
                $item->number,
                $item->revision,
                $item->supersedes,
                disposition: $item->disposition?->value,
                introduced: $item->supersedes === null ? $introduced[$item->number] ?? null : null,
            );
            foreach ($item->comparison->differences as $difference) {
                $entries[] = new Entry(
                    count($entries) + 1,
                    EntryAction::for($difference->kind),
                    $item->number,
                    $item->revision,
                    line: $difference->after ?? $difference->before,
                    replaces: $difference->kind === DifferenceKind::Replaced ? $difference->before?->component : null,
                );
            }
        }

        return new self(
            order: $plan->order,
            title: $title,
            number: $number,
            written: $written,
            effectiveFrom: (string) $plan->effectiveFrom,
            entries: $entries,
        );
    }

    /** The name of its files without ending: order, effective date and running number. */
    public function name(): string
    {
        return sprintf('%s_%s_%06d', $this->order, $this->effectiveFrom, $this->number);
    }

    /**
     * @return list<array<string, string|int|null>> one flat record an entry, the same in every format; what says nothing is null, never
     * an empty text
     */
    public function records(): array
    {
        return array_map(
            static fn(Entry $entry): array => array_map(
                static fn(string|int|null $value): string|int|null => $value === '' ? null : $value,
                [
                    'entry' => $entry->number,
                    'action' => $entry->action->value,
                    'item' => $entry->item,
                    'revision' => $entry->revision,
                    'supersedes' => $entry->supersedes,
                    'disposition' => $entry->disposition,
                    'find' => $entry->line?->find,
                    'component' => $entry->line?->component,
                    'componentRevision' => $entry->line?->revision,
                    'replaces' => $entry->replaces,
                    'quantity' => $entry->line === null ? null : (string) $entry->line->quantity,
                    'unit' => $entry->line?->unit->value,
                    'designators' => $entry->line?->designators,
                    'notes' => $entry->line?->notes,
                    'phantom' => $entry->line?->phantom === true ? 'yes' : null,
                    'firstDay' => $entry->line?->validity->from?->__toString(),
                    'lastDay' => $entry->line?->validity->lastDay()?->__toString(),
                    'title' => $entry->introduced?->title,
                    'itemUnit' => $entry->introduced?->unit->value,
                ],
            ),
            $this->entries,
        );
    }
}
