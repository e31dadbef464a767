<?php

declare(strict_types=1);

namespace App\Http\Api;

use OpenApi\Attributes as OA;

/** An optional text after the question mark of the address. */
#[\Attribute(\Attribute::TARGET_METHOD | \Attribute::IS_REPEATABLE)]
final class InQuery extends OA\Parameter
{
    public function __construct(string $name)
    {
        parent::__construct(name: $name, in: 'query', required: false, schema: new OA\Schema(type: 'string'));
    }
}
