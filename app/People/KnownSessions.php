<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Session\DatabaseSessionHandler;

/** Keeps sessions of people who signed in. A visit of anybody else leaves no row: there is nothing to remember of it. */
final class KnownSessions extends DatabaseSessionHandler
{
    /**
     * @param  string  $sessionId
     * @param  array<string, mixed>  $payload
     */
    protected function performInsert($sessionId, $payload): bool
    {
        return ($payload['user_id'] ?? null) === null || parent::performInsert($sessionId, $payload) !== false;
    }
}
