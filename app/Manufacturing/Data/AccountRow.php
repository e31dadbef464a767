<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use App\Structures\Data\ItemRow;
use App\Structures\Data\LineRow;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Manufacturing\Account;
use Orthotaxis\Core\Manufacturing\Accounted;
use Orthotaxis\Core\Manufacturing\Share;
use Orthotaxis\Core\Manufacturing\SuggestedBy;
use Orthotaxis\Core\Manufacturing\Suggestion;

/** An engineering line, and how a plant accounts for it. */
#[OA\Schema]
final readonly class AccountRow
{
    /**
     * @param  list<ShareRow>  $shares
     * @param  list<string>  $suggested  how it would be taken over, in words
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
        #[OA\Property(enum: SuggestedBy::class, description: 'what says so; null: nothing', nullable: true)] public ?string $suggested_by,
        #[OA\Property(description: 'the sibling or category that says so; empty otherwise')] public string $suggested_of,
    ) {}

    /**
     * @param  array<string, ItemRow>  $items  by number
     */
    public static function of(Accounted $line, ?Suggestion $suggested, array $items): self
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
            suggested: array_map(static fn(Edit $edit): string => self::inWords($edit), $suggested->edits ?? []),
            suggested_by: $suggested?->by->value,
            suggested_of: $suggested->of ?? '',
        );
    }

    /** A new line with so much at which operation: that is what is decided. */
    private static function inWords(Edit $edit): string
    {
        $fields = $edit->fields();
        if (!($edit instanceof AddLine)) {
            return $edit->inWords();
        }
        $much = trim(($fields['quantity'] ?? '') . ' ' . ($fields['unit'] ?? '') . ' of ' . ($fields['component'] ?? ''));

        return "{$much} " .
            (isset($fields['operation']) ? "at operation {$fields['operation']}" : 'at no operation') .
            (isset($fields['scrap']) ? ", {$fields['scrap']} % scrap" : '');
    }
}
