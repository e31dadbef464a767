<?php

declare(strict_types=1);

namespace App\Forms\Data;

use App\Forms\Models\FormTemplate;
use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** A template of forms as it is set up. */
#[OA\Schema]
final readonly class TemplateRow
{
    /**
     * @param  list<string>  $reasons
     * @param  list<ControlRow>  $controls
     * @param  list<MappingRow>  $mapping
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[ListOf('string')] public array $reasons,
        #[OA\Property] public bool $offered,
        #[OA\Property] public string $file_name,
        #[ListOf(ControlRow::class)] public array $controls,
        #[ListOf(MappingRow::class)] public array $mapping,
        #[OA\Property] public int $version,
    ) {}

    public static function of(FormTemplate $template): self
    {
        return new self(
            id: $template->id,
            name: $template->name,
            reasons: $template->reasons,
            offered: $template->offered,
            file_name: $template->file_name,
            controls: array_map(static fn(array $control): ControlRow => new ControlRow(...$control), $template->controls),
            mapping: array_map(MappingRow::read(...), $template->mapping),
            version: $template->version,
        );
    }
}
