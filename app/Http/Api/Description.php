<?php

declare(strict_types=1);

namespace App\Http\Api;

use OpenApi\Attributes as OA;

#[
    OA\Info(
        version: '1',
        title: 'Orthotaxis',
        description: 'People call with a session cookie, programs with a bearer token. Quantities, amounts and days are text: "0.25", "12.50", "2027-03-01".',
    ),
]
final readonly class Description {}
