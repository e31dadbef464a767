<?php

declare(strict_types=1);

namespace App\Http\Api;

use OpenApi\Attributes as OA;

/** A property that holds a list of these. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class ListOf extends OA\Property
{
    /** @param  string  $what a class of data, or a plain type such as string */
    public function __construct(string $what)
    {
        parent::__construct(type: 'array', items: class_exists($what) ? new OA\Items(ref: $what) : new OA\Items(type: $what));
    }
}
