<?php

declare(strict_types=1);

namespace App\People\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** How somebody has laid out a table. What it does not name is as the table has it by itself. */
#[OA\Schema]
final readonly class TableLayout implements \JsonSerializable
{
    /**
     * @param  list<string>  $order
     * @param  array<string, bool>  $visibility
     * @param  array<string, int>  $sizing
     */
    public function __construct(
        #[ListOf('string')] public array $order,
        #[
            OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'boolean'), description: 'by column'),
        ]
        public array $visibility,
        #[
            OA\Property(
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'integer'),
                description: 'pixels, by column',
            ),
        ]
        public array $sizing,
    ) {}

    /** @return array{order: list<string>, visibility: object, sizing: object} so that nothing chosen is still an object */
    public function jsonSerialize(): array
    {
        return ['order' => $this->order, 'visibility' => (object) $this->visibility, 'sizing' => (object) $this->sizing];
    }
}
