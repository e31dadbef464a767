<?php

declare(strict_types=1);

namespace App\Http;

/** What an id in an address can be. */
final readonly class RouteId
{
    /** One that the database can have; anything longer is nothing. */
    public const NUMBER = '[0-9]{1,18}';
}
