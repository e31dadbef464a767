<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use App\Manufacturing\BuiltAt;
use App\Manufacturing\KeptAccount;
use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Manufacturing\Accountability;
use Orthotaxis\Core\Manufacturing\Accounted;
use Orthotaxis\Core\Manufacturing\Share;
use Orthotaxis\Core\Manufacturing\Suggestion;

/** What a plant has taken over of an item as engineering declares it. Nothing open is the proof that it builds the design. */
#[OA\Schema]
final readonly class AccountabilityPage
{
    /**
     * @param  list<string>  $plants
     * @param  list<AccountRow>  $lines
     * @param  list<ShareRow>  $additions
     * @param  list<string>  $siblings  numbers of items by whose example it could be taken over, the most alike first
     */
    private function __construct(
        #[OA\Property] public string $item,
        #[OA\Property(description: 'null: no plant builds it on that day')] public ?string $plant,
        #[ListOf('string')] public array $plants,
        #[OA\Property(description: 'the revision of what the plant builds')] public ?string $built,
        #[OA\Property(description: 'the revision of engineering for which that was planned')] public ?string $builds,
        #[OA\Property(description: 'the revision of engineering in force')] public ?string $declared,
        #[OA\Property] public int $open,
        #[OA\Property(description: 'how many lines engineering declares')] public int $count,
        #[OA\Property(description: 'how many of them are asked for')] public int $total,
        #[OA\Property(description: 'the first of these that is told, from 0')] public int $from,
        #[ListOf(AccountRow::class)] public array $lines,
        #[ListOf(ShareRow::class)] public array $additions,
        #[OA\Property(description: 'null: as it is in force', nullable: true)] public ?UnderOrder $order,
        #[ListOf('string')] public array $siblings,
        #[OA\Property(description: 'the one by whose example it is suggested; null: none')] public ?string $sibling,
    ) {}

    /**
     * @param  int  $total  of the lines that are asked for
     * @param  list<Accounted>  $lines  some of them
     * @param  array<string, ItemRow>  $items  by number
     */
    public static function inForce(string $item, KeptAccount $of, int $total, int $from, array $lines, array $items): self
    {
        return new self(
            item: $item,
            plant: $of->plant,
            plants: $of->plants,
            built: $of->built,
            builds: $of->builds,
            declared: $of->declared,
            open: $of->open,
            count: $of->total,
            total: $total,
            from: $from,
            lines: array_map(static fn(Accounted $line): AccountRow => AccountRow::of($line, null, $items), $lines),
            additions: array_map(static fn(Share $share): ShareRow => ShareRow::of($share, $items), $of->additions),
            order: null,
            siblings: [],
            sibling: null,
        );
    }

    /**
     * All lines at once: somebody works with them.
     *
     * @param  list<string>  $plants
     * @param  array<string, Suggestion>  $suggested  by the key of the engineering line
     * @param  array<string, ItemRow>  $items  by number
     * @param  list<string>  $siblings
     */
    public static function underOrder(
        string $item,
        ?BuiltAt $at,
        array $plants,
        ?string $builds,
        ?string $declared,
        Accountability $of,
        array $suggested,
        array $items,
        UnderOrder $order,
        array $siblings,
        ?string $sibling,
    ): self {
        return new self(
            item: $item,
            plant: $at?->plant,
            plants: $plants,
            built: $at?->released?->code,
            builds: $builds,
            declared: $declared,
            open: count($of->open()),
            count: count($of->lines),
            total: count($of->lines),
            from: 0,
            lines: array_map(
                static fn(Accounted $line): AccountRow => AccountRow::of($line, $suggested[$line->line->key] ?? null, $items),
                $of->lines,
            ),
            additions: array_map(static fn(Share $share): ShareRow => ShareRow::of($share, $items), $of->additions),
            order: $order,
            siblings: $siblings,
            sibling: $sibling,
        );
    }
}
