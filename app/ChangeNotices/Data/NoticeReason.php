<?php

declare(strict_types=1);

namespace App\ChangeNotices\Data;

use App\Requests\Models\ChangeRequest;
use OpenApi\Attributes as OA;

/** Why: a request that the order answers. */
#[OA\Schema]
final readonly class NoticeReason
{
    private function __construct(
        #[OA\Property] public string $request,
        #[OA\Property] public string $reason,
        #[OA\Property] public string $description,
        #[OA\Property] public string $finding,
    ) {}

    /** @param  array<string, string>  $names  of reasons, by code */
    public static function of(ChangeRequest $request, array $names): self
    {
        return new self($request->number, $names[$request->reason] ?? $request->reason, $request->description, $request->finding);
    }
}
