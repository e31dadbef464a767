<?php

declare(strict_types=1);

namespace App\Outgoing\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** Events of one kind that other systems can be told of. */
#[OA\Schema]
final readonly class EventKind
{
    /** @param  list<string>  $events */
    public function __construct(#[OA\Property] public string $kind, #[ListOf('string')] public array $events) {}

    /** @return list<self> */
    public static function all(): array
    {
        /** @var array<string, list<string>> $known */
        $known = config()->array('events');
        $kinds = [];
        foreach ($known as $kind => $names) {
            $kinds[] = new self($kind, array_map(static fn(string $name): string => "{$kind}.{$name}", $names));
        }

        return $kinds;
    }
}
