<?php

declare(strict_types=1);

namespace App\Http\Api;

use OpenApi\Attributes as OA;

/** The answer is a list of these. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class OkList extends OA\Response
{
    /** @param  class-string  $class */
    public function __construct(string $class)
    {
        parent::__construct(
            response: 200,
            description: 'As asked.',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: $class)),
        );
    }
}
