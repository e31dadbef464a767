<?php

declare(strict_types=1);

namespace App\Http\Api;

use OpenApi\Attributes as OA;

/** A text in the address. */
#[\Attribute(\Attribute::TARGET_METHOD | \Attribute::IS_REPEATABLE)]
final class InPath extends OA\Parameter
{
    public function __construct(string $name)
    {
        parent::__construct(name: $name, in: 'path', required: true, schema: new OA\Schema(type: 'string'));
    }
}
