<?php

declare(strict_types=1);

namespace App\Changes\Data;

use App\Changes\Models\ChangeRequest;
use App\Http\Api\ListOf;
use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class RequestData
{
    /**
     * @param  list<ItemRow>  $items
     * @param  list<string>  $orders  numbers
     */
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public string $reason,
        #[OA\Property] public string $source,
        #[OA\Property] public string $site,
        #[OA\Property(enum: ['critical', 'high', 'normal', 'low'])] public string $priority,
        #[OA\Property] public string $description,
        #[OA\Property(enum: ['raised', 'assessing', 'returned', 'approved', 'rejected', 'ordered'])] public string $state,
        #[OA\Property] public string $finding,
        #[OA\Property] public string $decision_reason,
        #[OA\Property] public string $raised_by,
        #[OA\Property(description: 'sign-in name')] public string $raised_by_login,
        #[OA\Property] public string $raised_at,
        #[OA\Property] public ?string $decided_by,
        #[OA\Property] public ?string $decided_at,
        #[OA\Property] public int $version,
        #[ListOf(ItemRow::class)] public array $items,
        #[ListOf('string')] public array $orders,
    ) {}

    public static function of(ChangeRequest $request): self
    {
        return new self(
            $request->number, $request->title, $request->reason, $request->source, $request->site, $request->priority,
            $request->description, $request->state->value, $request->finding, $request->decision_reason,
            $request->raisedBy->name, $request->raisedBy->login, $request->raised_at->toIso8601String(), $request->decidedBy?->name,
            $request->decided_at?->toIso8601String(), $request->version,
            $request->items->map(ItemRow::of(...))->values()->all(),
            $request->orders->map(static fn ($order): string => $order->number)->values()->all(),
        );
    }
}
