<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Routing\Operation;
use Orthotaxis\Core\Structure\FreeFinds;
use Orthotaxis\Core\Structure\Line;

/**
 * How what is open would be taken over, and what says so: what the plant built before, or else another item that it builds, or else the
 * category of the component, or else the line before it.
 *
 * A valve is new in the pump head. The other head that Weir builds has it at "Close the housing": it goes there. The screws beside it are
 * fasteners, which go in where the part before them does: there as well. The leaflet is a document, and documents are left out.
 */
final readonly class Suggestions
{
    /** @param  array<string, CategoryWay>  $ways  by component */
    private function __construct(
        private ManufacturingContent $built,
        private ?Sibling $sibling,
        private array $ways,
        private FreeFinds $finds,
    ) {}

    /**
     * @param  ManufacturingContent  $built  of the item at the plant
     * @param  array<string, CategoryWay>  $ways  by component; of the others nothing is said
     * @return array<string, Suggestion> by the key of the engineering line, be it one that engineering no longer has
     */
    public static function of(Accountability $of, ManufacturingContent $built, ?Sibling $sibling = null, array $ways = []): array
    {
        $finds = FreeFinds::in($built->structure);

        return (new self($built, $sibling, $ways, $finds))->all($of, TakeOver::of($of, $built->structure, $finds));
    }

    /**
     * @param  array<string, non-empty-list<Edit>>  $follows  what follows from what is there
     * @return array<string, Suggestion>
     */
    private function all(Accountability $of, array $follows): array
    {
        $suggestions = [];
        $operation = '';
        foreach ($of->lines as $line) {
            $key = $line->line->key;
            $edits = $follows[$key] ?? null;
            unset($follows[$key]);
            if ($edits !== null) {
                $suggestions[$key] =
                    $edits[0] instanceof AddLine
                        ? $this->ofNew($line, $edits[0], $operation)
                        : new Suggestion(SuggestedBy::Before, '', $edits);
            }
            $operation = self::at($line, $suggestions[$key] ?? null) ?? $operation;
        }
        foreach ($follows as $key => $edits) {
            $suggestions[$key] = new Suggestion(SuggestedBy::Before, '', $edits);
        }

        return $suggestions;
    }

    /** @return ?string the operation at which it goes in, or would; null: at none */
    private static function at(Accounted $line, ?Suggestion $suggestion): ?string
    {
        $at = null;
        foreach ($suggestion === null ? [] : $suggestion->edits as $edit) {
            $at = $edit->fields()['operation'] ?? '' ?: $at;
        }
        foreach ($suggestion === null ? $line->shares : [] as $share) {
            $at = $share->part->operation === null ? $at : (string) $share->part->operation;
        }

        return $at;
    }

    /** @param  string  $before  the operation of the line before it; empty: none */
    private function ofNew(Accounted $line, AddLine $added, string $before): Suggestion
    {
        $example = $line->record === null ? $this->sibling?->example($line, $this->built->routing) : null;
        if ($this->sibling !== null && $example !== null) {
            return new Suggestion(SuggestedBy::Sibling, $this->sibling->number, $this->like($example, $line->line, $added));
        }
        $way = $line->record === null ? $this->ways[$line->line->component] ?? null : null;
        if ($way?->how === TakenOver::LeftOut) {
            return new Suggestion(SuggestedBy::Category, $way->category, [new PutOnRecord($line->line->key, ['reason' => $way->reason])]);
        }
        $numbers = $this->numbers();
        $edit = self::moved(
            $added,
            match ($way?->how) {
                TakenOver::First => (string) ($numbers[0] ?? ''),
                TakenOver::Last => (string) ($numbers[count($numbers) - 1] ?? ''),
                default => $before,
            },
        );

        return $way === null
            ? new Suggestion(SuggestedBy::Neighbour, '', [$edit])
            : new Suggestion(SuggestedBy::Category, $way->category, [$edit]);
    }

    /** @return non-empty-list<Edit> */
    private function like(Example $example, Line $line, AddLine $added): array
    {
        $edits = [];
        if ($example->record !== null) {
            $edits[] = PutOnRecord::saying($example->record)->of($line->key);
        }
        foreach ($example->parts as $at => $part) {
            $fields = array_filter($part, static fn(string $text): bool => $text !== '');
            $alone = count($example->parts) === 1 && $part['component'] === $line->component && $part['unit'] === $line->unit->value;
            $edits[] = new AddLine('', [
                ...array_diff_key($added->fields(), ['operation' => true, ...$alone ? [] : ['designators' => true]]),
                ...$at === 0 ? [] : ['find' => (string) $this->finds->from($line->find)],
                ...$fields,
            ]);
        }

        return $edits === [] ? [self::moved($added, '')] : $edits;
    }

    private static function moved(AddLine $added, string $operation): AddLine
    {
        return new AddLine('', [
            ...array_diff_key($added->fields(), ['operation' => true]),
            ...$operation === '' ? [] : ['operation' => $operation],
        ]);
    }

    /** @return list<int> the operations that there are, or that lines name where the routing is kept elsewhere; in their order */
    private function numbers(): array
    {
        $numbers = array_map(static fn(Operation $one): int => $one->number, array_values($this->built->routing->operations));
        if ($numbers === []) {
            foreach ($this->built->structure as $line) {
                array_push($numbers, ...$line->operation === null ? [] : [$line->operation]);
            }
            sort($numbers);
        }

        return $numbers;
    }
}
