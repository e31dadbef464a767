<?php

declare(strict_types=1);

namespace App\Meetings\Data;

use App\Http\Api\ListOf;
use App\Vocabulary\ChangeRow;
use OpenApi\Attributes as OA;

/** A request on the list of a meeting. */
#[OA\Schema]
final readonly class MeetingRow
{
    /** @param  list<string>  $judges  names of those whom its approval path asks now */
    public function __construct(
        #[OA\Property(ref: ChangeRow::class)] public ChangeRow $change,
        #[OA\Property] public string $finding,
        #[OA\Property(description: 'questions that are not answered yet')] public int $waiting,
        #[OA\Property(description: 'the chosen day to cut in')] public ?string $cut_in,
        #[OA\Property] public ?string $decided_by,
        #[OA\Property] public ?string $decided_at,
        #[OA\Property] public string $decision_reason,
        #[OA\Property(description: 'name of the approval path on which it is judged; null: the board decides')] public ?string $path,
        #[ListOf('string')] public array $judges,
    ) {}
}
