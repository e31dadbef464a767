<?php

declare(strict_types=1);

namespace App\Orders\Worksheet\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** Lines of the subjects of an order: those of some of its items, one part after another. */
#[OA\Schema]
final readonly class WorksheetPage
{
    /**
     * @param  list<WorksheetSubject>  $subjects
     * @param  list<NamedComponent>  $items  all that rows and subjects name
     * @param  list<WorksheetRow>  $rows
     */
    public function __construct(
        #[OA\Property] public string $order,
        #[OA\Property] public string $order_title,
        #[OA\Property] public string $state,
        #[OA\Property(description: 'whether the order is not released yet')] public bool $is_open,
        #[OA\Property(description: 'whether you may edit it now')] public bool $may_edit,
        #[OA\Property] public bool $can_undo,
        #[OA\Property] public bool $can_redo,
        #[ListOf(WorksheetSubject::class)] public array $subjects,
        #[ListOf(NamedComponent::class)] public array $items,
        #[ListOf(WorksheetRow::class)] public array $rows,
        #[OA\Property(description: 'what to ask the next part from; null: there is none', nullable: true)] public ?int $next,
        #[OA\Property(description: 'how many items the order names in all')] public int $items_in_all,
    ) {}
}
