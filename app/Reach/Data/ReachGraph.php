<?php

declare(strict_types=1);

namespace App\Reach\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** The reach as a graph: items and who uses whom. */
#[OA\Schema]
final readonly class ReachGraph
{
    /**
     * @param  list<ReachNode>  $nodes  nearest first
     * @param  list<array{int, int}>  $edges  from the component to what uses it, both as their place among the nodes
     */
    public function __construct(
        #[OA\Property(description: 'how many there are; more are not shown')] public int $total,
        #[ListOf(ReachNode::class)] public array $nodes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'integer')))] public array $edges,
    ) {}
}
