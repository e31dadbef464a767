<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use App\Structures\Data\ItemRow;
use App\Structures\Data\LineRow;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Manufacturing\Account;
use Orthotaxis\Core\Manufacturing\Accounted;
use Orthotaxis\Core\Manufacturing\Share;

/** An engineering line, and how a plant accounts for it. */
#[OA\Schema]
final readonly class AccountRow
{
    /**
     * @param  list<ShareRow>  $shares
     * @param  list<string>  $suggested
     */
    private function __construct(
        #[OA\Property] public LineRow $line,
        #[OA\Property] public ItemRow $item,
        #[OA\Property(enum: Account::class)] public string $account,
        #[OA\Property(description: 'of the component, or of what is in its place')] public string $wanted,
        #[OA\Property(description: 'what is not taken over of it; below zero: what is too much')] public string $rest,
        #[OA\Property] public string $unit,
        #[OA\Property(description: 'what is wrong besides the quantity')] public ?string $why,
        #[OA\Property(description: 'what is on record about the line', nullable: true)] public ?RecordRow $record,
        #[ListOf(ShareRow::class)] public array $shares,
        #[ListOf('string')] public array $suggested,
    ) {}

    /**
     * @param  list<LineEdit>  $suggested  how it would be taken over
     * @param  array<string, ItemRow>  $items  by number
     */
    public static function of(Accounted $line, array $suggested, array $items): self
    {
        return new self(
            line: LineRow::of($line->line),
            item: $items[$line->line->component],
            account: $line->account->value,
            wanted: (string) $line->wanted,
            rest: (string) $line->rest,
            unit: $line->unit->value,
            why: $line->why,
            record: $line->record === null ? null : RecordRow::of($line->record),
            shares: array_map(static fn(Share $share): ShareRow => ShareRow::of($share, $items), $line->shares),
            suggested: array_map(static fn(LineEdit $edit): string => $edit->inWords(), $suggested),
        );
    }
}
