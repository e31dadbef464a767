<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Routing\OperationDifference;
use Orthotaxis\Core\Routing\OperationField;

/** One operation before and after, with its mark. */
#[OA\Schema]
final readonly class OperationRow
{
    /** @param  list<string>  $fields  that differ */
    private function __construct(
        #[OA\Property] public string $key,
        #[OA\Property(enum: ['added', 'removed', 'changed', 'renumbered', 'unchanged'])] public string $mark,
        #[OA\Property(ref: OperationData::class, nullable: true)] public ?OperationData $before,
        #[OA\Property(ref: OperationData::class, nullable: true)] public ?OperationData $after,
        #[ListOf('string')] public array $fields,
    ) {}

    public static function of(OperationDifference $difference): self
    {
        return new self(
            key: $difference->after->key ?? ($difference->before->key ?? ''),
            mark: $difference->kind->value,
            before: $difference->before === null ? null : OperationData::of($difference->before),
            after: $difference->after === null ? null : OperationData::of($difference->after),
            fields: array_map(static fn(OperationField $field): string => $field->value, $difference->fields),
        );
    }
}
