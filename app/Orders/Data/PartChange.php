<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Content\PartAction;
use Orthotaxis\Core\ItemData\SetField;
use Orthotaxis\Core\Release\ChangedPart;
use Orthotaxis\Core\Structure\LineField;

/** A line, an operation or a figure that differs. */
#[OA\Schema]
final readonly class PartChange
{
    /** @param  list<FieldChange>  $fields */
    private function __construct(
        #[OA\Property(enum: PartAction::class)] public string $action,
        #[OA\Property(description: 'as people call it: line 40 200-0131')] public string $called,
        #[ListOf(FieldChange::class)] public array $fields,
    ) {}

    /** @param  array<string, string>  $titles  of items, by number */
    public static function of(ChangedPart $part, array $titles): self
    {
        $said = static fn(string $field, string $text): string => $field === LineField::Component->value && isset($titles[$text])
            ? "{$text} {$titles[$text]}"
            : $text;

        return new self(
            $part->action->value,
            $part->called,
            array_map(
                static fn(array $one): FieldChange => new FieldChange(
                    // A figure of an item is called by the part itself.
                    $one[0] === SetField::VALUE ? '' : str_replace('_', ' ', $one[0]),
                    $said($one[0], $one[1]),
                    $said($one[0], $one[2]),
                ),
                $part->fields,
            ),
        );
    }
}
