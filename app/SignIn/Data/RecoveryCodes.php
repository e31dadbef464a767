<?php

declare(strict_types=1);

namespace App\SignIn\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** Codes for when the authenticator is lost, told once. */
#[OA\Schema]
final readonly class RecoveryCodes
{
    /** @param  list<string>  $codes */
    public function __construct(#[ListOf('string')] public array $codes) {}
}
