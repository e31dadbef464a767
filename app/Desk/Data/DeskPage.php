<?php

declare(strict_types=1);

namespace App\Desk\Data;

use App\Http\Api\ListOf;
use App\Vocabulary\ChangeRow;
use OpenApi\Attributes as OA;

/** What needs one person now, and what is new. */
#[OA\Schema]
final readonly class DeskPage
{
    /**
     * @param  list<ChangeRow>  $critical  open critical reports and requests, for everyone whose job they are
     * @param  list<DeskTask>  $tasks  critical first, then what waits longest
     * @param  list<ChangeRow>  $requests  the newest open requests, critical first
     * @param  int  $open_requests  how many open requests there are in all
     * @param  list<StageCount>  $stages  open changes by the step they are at
     */
    public function __construct(
        #[ListOf(ChangeRow::class)] public array $critical,
        #[ListOf(DeskTask::class)] public array $tasks,
        #[ListOf(ChangeRow::class)] public array $requests,
        #[OA\Property] public int $open_requests,
        #[ListOf(StageCount::class)] public array $stages,
    ) {}
}
