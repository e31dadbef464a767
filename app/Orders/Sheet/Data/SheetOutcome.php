<?php

declare(strict_types=1);

namespace App\Orders\Sheet\Data;

use App\Http\Api\ListOf;
use App\Orders\Sheet\SheetHead;
use App\Orders\Sheet\SheetMerge;
use OpenApi\Attributes as OA;

/** What a sheet does, or would do; where a cell cannot be so, or somebody has to choose, nothing is done. */
#[OA\Schema]
final readonly class SheetOutcome
{
    /**
     * @param  list<SheetChange>  $changes
     * @param  list<SheetConflict>  $conflicts
     * @param  list<SheetFault>  $faults
     */
    private function __construct(
        #[OA\Property(description: 'whether it was done')] public bool $done,
        #[ListOf(SheetChange::class)] public array $changes,
        #[OA\Property(description: 'edits that others have made as well')] public int $agreed,
        #[ListOf(SheetConflict::class)] public array $conflicts,
        #[ListOf(SheetFault::class)] public array $faults,
        #[OA\Property(description: 'under which the file is had with its bad cells marked')] public ?string $marked,
    ) {}

    /** @param  array<int, array<string, string>>  $faults  by row and column */
    public static function of(string $order, SheetHead $head, SheetMerge $merge, array $faults): self
    {
        $changes = [];
        $conflicts = $head->conflicts;
        foreach ($head->changes as $name => [$was, $now]) {
            $changes[] = SheetChange::ofHead($order, $name, $was, $now);
        }
        foreach ($merge->wanted as $subject => $comparison) {
            foreach ($comparison->changes() as $difference) {
                $changes[] = SheetChange::of($subject, $difference);
            }
        }
        foreach ($merge->conflicts as $subject => $some) {
            foreach ($some as $one) {
                $conflicts[] = new SheetConflict(
                    key: SheetMerge::name($subject, $one),
                    part: explode(' ', $subject)[0] . ", {$one->called}",
                    field: $one->field,
                    before: $one->before,
                    mine: $one->mine,
                    theirs: $one->theirs,
                );
            }
        }
        $told = SheetFault::all($faults);

        return new self(
            done: $conflicts === [] && $told === [],
            changes: $changes,
            agreed: $merge->agreed,
            conflicts: $conflicts,
            faults: $told,
            marked: null,
        );
    }

    public function isClean(): bool
    {
        return $this->conflicts === [] && $this->faults === [];
    }

    public function marked(string $sheet): self
    {
        return new self(false, $this->changes, $this->agreed, $this->conflicts, faults: $this->faults, marked: $sheet);
    }

    /** It was only looked at. */
    public function notDone(): self
    {
        return new self(false, $this->changes, $this->agreed, $this->conflicts, faults: $this->faults, marked: $this->marked);
    }
}
