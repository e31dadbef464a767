<?php

declare(strict_types=1);

namespace App\Structures;

use App\Vocabulary\ChoiceList;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\StructureKind;

/**
 * Which picture of the product is looked at: what the design model says, what engineering declares, or what manufacturing
 * builds. The last is told as one plant sees it: its own structure of an item where it has one, else that of the first
 * plant that has; or, for whoever reckons what is wanted of parts, with what engineering declares of items until a plant builds them.
 */
final readonly class StructureView
{
    /** @param  bool  $orDeclared  whether engineering stands in where no plant builds an item yet */
    public function __construct(
        public StructureKind $kind = StructureKind::Engineering,
        public string $plant = '',
        public bool $orDeclared = false,
    ) {}

    /** @param  string  $plant  empty: as the first sees it */
    public static function asBuilt(string $plant): self
    {
        return new self(StructureKind::Manufacturing, $plant === '' ? ChoiceList::Site->codes()[0] ?? '' : $plant, true);
    }

    /**
     * @param  string  $prefix  before the names of the parameters
     *
     * @throws Refusal naming the parameter
     */
    public static function asked(Request $request, string $prefix = ''): self
    {
        $text = static fn(string $name): string => trim($request->string($prefix . $name)->toString());
        $kind =
            StructureKind::tryFrom($text('kind') ?: StructureKind::Engineering->value) ??
            throw Refusal::at("{$prefix}kind", 'A structure is design, engineering or manufacturing.');
        $plant = $text('plant');
        if ($plant !== '' && ($kind !== StructureKind::Manufacturing || !ChoiceList::Site->knows($plant))) {
            throw Refusal::at(
                "{$prefix}plant",
                $kind === StructureKind::Manufacturing ? "There is no plant {$plant}." : 'Only manufacturing structures differ by plant.',
            );
        }

        return new self($kind, $plant);
    }

    /** @return list<self> all that an index is kept of */
    public static function all(): array
    {
        return [
            ...array_map(static fn(StructureKind $kind): self => new self($kind), StructureKind::cases()),
            ...array_map(static fn(string $plant): self => new self(StructureKind::Manufacturing, $plant), ChoiceList::Site->codes()),
            ...array_map(self::asBuilt(...), ChoiceList::Site->codes()),
        ];
    }

    /** A name for files and locks. */
    public function name(): string
    {
        $name = $this->orDeclared ? 'as-built' : $this->kind->value;

        return $this->plant === '' ? $name : "{$name}-{$this->plant}";
    }

    /** The condition that a content belongs to it, in SQL. The content goes by the name of. */
    public function contents(): string
    {
        if ($this->kind !== StructureKind::Manufacturing) {
            return "of.kind = '{$this->kind->value}'";
        }
        $built = "of.kind = 'manufacturing' AND of.plant = {$this->chosenPlant()}";

        return $this->orDeclared ? "(({$built}) OR of.kind = 'engineering')" : $built;
    }

    /** The day on which a content gives way to what a plant builds, in SQL; null: it does not. */
    public function givesWay(): string
    {
        return $this->orDeclared
            ? "CASE WHEN of.kind = 'engineering' THEN (SELECT min(b.effective_from) FROM contents b
                WHERE b.item_id = of.item_id AND b.kind = 'manufacturing' AND b.plant = {$this->chosenPlant()}) END"
            : 'NULL::date';
    }

    /** In SQL: the plant whose structure of an item is told. */
    private function chosenPlant(): string
    {
        $others = "SELECT o.plant FROM contents o WHERE o.item_id = of.item_id AND o.kind = 'manufacturing'";
        $own = $this->plant === '' ? '' : "({$others} AND o.plant = " . DB::getPdo()->quote($this->plant) . ' LIMIT 1), ';

        return "COALESCE({$own}({$others} ORDER BY o.plant LIMIT 1))";
    }

    /**
     * The condition that a content is what this view shows of one revision of an item, in SQL: the revision itself, or what holds of
     * the item on its first day. The content goes by the name of, the revision by the name r.
     */
    public function contentsOfRevision(): string
    {
        if ($this->kind === StructureKind::Engineering) {
            return 'of.id = r.id';
        }
        $day = 'coalesce(r.effective_from, CURRENT_DATE)';

        return "of.item_id = r.item_id AND {$this->contents()} AND (of.effective_from IS NULL) = (r.effective_from IS NULL)
            AND coalesce(of.effective_from <= {$day}, true) AND coalesce(LEAST(of.effective_to, {$this->givesWay()}) > {$day}, true)";
    }
}
