<?php

declare(strict_types=1);

namespace App\Http\Api;

use OpenApi\Attributes as OA;

/** The body that a call takes. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Takes extends OA\RequestBody
{
    /** @param  class-string  $class */
    public function __construct(string $class)
    {
        parent::__construct(required: true, content: new OA\JsonContent(ref: $class));
    }
}
