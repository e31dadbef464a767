<?php

declare(strict_types=1);

namespace App\Dossier\Data;

use App\Dossier\RequestPaths\Data\JudgedRequest;
use App\Http\Api\ListOf;
use App\Ledger\LedgerRow;
use App\Orders\Data\Collision;
use App\Orders\Data\OrderData;
use App\Releases\Data\HandoverRow;
use App\Requests\Data\RequestData;
use App\Tasks\Data\TaskRow;
use OpenApi\Attributes as OA;

/** One change from its first report to the last follow-up. */
#[OA\Schema]
final readonly class Dossier
{
    /**
     * @param  list<StepRow>  $steps
     * @param  list<RequestData>  $requests
     * @param  list<Proposal>  $proposals  of each request
     * @param  list<JudgedRequest>  $judged  requests that go on an approval path
     * @param  list<HandoverRow>  $handovers
     * @param  list<Collision>  $collisions
     * @param  list<LedgerRow>  $ledger  newest first
     * @param  list<TaskRow>  $tasks  of its requests and its order
     */
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property(enum: ['critical', 'high', 'normal', 'low'])] public string $priority,
        #[ListOf(StepRow::class)] public array $steps,
        #[ListOf(RequestData::class)] public array $requests,
        #[ListOf(Proposal::class)] public array $proposals,
        #[ListOf(JudgedRequest::class)] public array $judged,
        #[OA\Property(ref: OrderData::class, nullable: true)] public ?OrderData $order,
        #[ListOf(HandoverRow::class)] public array $handovers,
        #[ListOf(Collision::class)] public array $collisions,
        #[ListOf(LedgerRow::class)] public array $ledger,
        #[OA\Property(description: 'how many acts there are; the newest are told')] public int $acts,
        #[ListOf(TaskRow::class)] public array $tasks,
    ) {}
}
