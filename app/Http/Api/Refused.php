<?php

declare(strict_types=1);

namespace App\Http\Api;

use App\Http\Problem;
use OpenApi\Attributes as OA;

/** Any refusal reads like this. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Refused extends OA\Response
{
    public function __construct()
    {
        parent::__construct(
            response: 'default',
            description: 'Refused; nothing was saved.',
            content: new OA\JsonContent(ref: Problem::class),
        );
    }
}
