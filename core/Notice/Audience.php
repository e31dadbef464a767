<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Notice;

/**
 * Who is told of an event: everybody once, for the strongest reason that they have, and nobody of what they did themselves.
 *
 * Example: Mira sends an order to review. Helen has to sign it and watches it: she is told once, because she has to sign. Mira planned it:
 * she is not told.
 */
final readonly class Audience
{
    /**
     * @param  ?int  $actor  who did it; null: a system
     * @param  array<string, list<int>>  $people  by the value of a Cause
     * @return array<int, Cause> person => why
     */
    public static function of(?int $actor, array $people): array
    {
        $told = [];
        foreach (Cause::cases() as $cause) {
            foreach ($people[$cause->value] ?? [] as $person) {
                if ($person !== $actor) {
                    $told[$person] ??= $cause;
                }
            }
        }

        return $told;
    }
}
