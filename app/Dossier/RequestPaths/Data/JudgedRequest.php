<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Data;

use App\Http\Api\ListOf;
use App\Paths\Data\PathPicture;
use App\Paths\Data\SignatureRow;
use OpenApi\Attributes as OA;

/** A request as it is judged on its path. */
#[OA\Schema]
final readonly class JudgedRequest
{
    /** @param  list<SignatureRow>  $signatures  newest first, those that are void too */
    public function __construct(
        #[OA\Property(description: 'number of the request')] public string $request,
        #[OA\Property(description: 'of what is on screen: what a signature covers')] public string $digest,
        #[OA\Property(ref: PathPicture::class)] public PathPicture $path,
        #[ListOf(SignatureRow::class)] public array $signatures,
        #[OA\Property(description: 'whether you can send it back')] public bool $may_send_back,
    ) {}
}
