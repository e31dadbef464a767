<?php

declare(strict_types=1);

namespace Orthotaxis\Core\DesignModel;

use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\RemoveLine;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\FreeFinds;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/**
 * One assembly as its design model has it: pieces of each component.
 *
 * The model of the pump head has three clamps, the structure two, half a metre of tube, and grease. The clamps become three. The tube is
 * one body in the model and half a metre in the structure: how much of it is used, a model does not say. The grease is not modelled, so
 * it stays, and so does the instruction how to mount it. Where the last model had two clamps as well, somebody has changed the structure
 * since on purpose, or the designer has just added the third: only what differs from the last model is told.
 */
final readonly class ModelledAssembly
{
    /** Between find numbers of lines that come. */
    private const STEP = 10;

    /**
     * @param  array<array-key, int>  $pieces  by component
     * @param  array<array-key, string>  $designators  by component; where each piece has one of its own
     */
    public function __construct(private array $pieces, private array $designators = []) {}

    /**
     * @param  Structure  $now  the lines that hold on the day
     * @param  ?self  $last  as the last model had it; null: this is the first
     * @param  array<array-key, Unit>  $units  of components that are not in the structure yet; pieces where nothing is said
     * @param  array<array-key, mixed>  $shapeless  components that no model shows, such as documents and grease: they are not missed in it
     * @return list<Found>
     */
    public function against(Structure $now, ?self $last, array $units = [], array $shapeless = []): array
    {
        $lines = [];
        foreach ($now as $line) {
            $lines[$line->component][] = $line;
        }
        $found = [];
        foreach ($lines as $component => $some) {
            $isMissed = isset($this->pieces[$component]) || !isset($shapeless[$component]);
            if ($isMissed && $this->changedSince($last, (string) $component)) {
                array_push($found, ...$this->ofLines((string) $component, $some));
            }
        }
        $finds = FreeFinds::in($now);
        $next = max([0, ...array_map(static fn(Line $line): int => $line->find, iterator_to_array($now, false))]);
        foreach (array_diff_key($this->pieces, $lines) as $component => $pieces) {
            if ($this->changedSince($last, (string) $component)) {
                $next = $finds->from($next - ($next % self::STEP) + self::STEP);
                $found[] = $this->new((string) $component, $pieces, $next, $units[$component] ?? Unit::Piece);
            }
        }

        return $found;
    }

    private function changedSince(?self $last, string $component): bool
    {
        return $last === null || ($last->pieces[$component] ?? 0) !== ($this->pieces[$component] ?? 0);
    }

    /**
     * @param  non-empty-list<Line>  $lines  of one component
     * @return list<Found>
     */
    private function ofLines(string $component, array $lines): array
    {
        $modelled = array_values(array_filter($lines, static fn(Line $line): bool => !$line->notModelled));
        $pieces = $this->pieces[$component] ?? 0;
        if ($pieces === 0) {
            return array_map(static fn(Line $line): Found => new Found($component, $line, 0, new RemoveLine($line->key)), $modelled);
        }
        // How much of a hose is used, a model does not say: it has bodies.
        if ($modelled === [] || $modelled[0]->unit !== Unit::Piece) {
            return [];
        }
        $there = array_sum(array_map(static fn(Line $line): int => $line->quantity->millionths, $modelled));
        if ($there === $pieces * Quantity::ONE) {
            return [];
        }
        if (count($modelled) > 1) {
            return [
                new Found($component, $modelled[0], $pieces, null, 'It stands on several lines: say on the page which of them changes.'),
            ];
        }
        $fields = [LineField::Quantity->value => (string) $pieces];
        if (isset($this->designators[$component])) {
            $fields[LineField::Designators->value] = $this->designators[$component];
        }

        return [new Found($component, $modelled[0], $pieces, new ChangeLine($modelled[0]->key, $fields))];
    }

    private function new(string $component, int $pieces, int $find, Unit $unit): Found
    {
        if ($unit !== Unit::Piece) {
            return new Found($component, null, $pieces, null, "It is counted in {$unit->value}: say on the page how much goes in.");
        }

        return new Found(
            $component,
            null,
            $pieces,
            new AddLine(
                '',
                array_filter([
                    LineField::Find->value => (string) $find,
                    LineField::Component->value => $component,
                    LineField::Quantity->value => (string) $pieces,
                    LineField::Unit->value => $unit->value,
                    LineField::Designators->value => $this->designators[$component] ?? '',
                ]),
            ),
        );
    }
}
