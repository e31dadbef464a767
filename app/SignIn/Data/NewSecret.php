<?php

declare(strict_types=1);

namespace App\SignIn\Data;

use OpenApi\Attributes as OA;

/** What an authenticator takes in. It counts from when a code of it is shown. */
#[OA\Schema]
final readonly class NewSecret
{
    public function __construct(
        #[OA\Property(description: 'base 32 (RFC 4648), to be typed')] public string $secret,
        #[OA\Property(description: 'otpauth address, to be shown as a QR code')] public string $address,
    ) {}
}
