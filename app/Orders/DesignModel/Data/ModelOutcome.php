<?php

declare(strict_types=1);

namespace App\Orders\DesignModel\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What a design model says otherwise, or what of it was taken over. */
#[OA\Schema]
final readonly class ModelOutcome
{
    /**
     * @param  list<ModelRow>  $rows
     * @param  list<ModelItem>  $items  without a number yet
     * @param  list<string>  $numbered  numbers that were given
     */
    public function __construct(
        #[OA\Property(description: 'whether anything was done')] public bool $done,
        #[OA\Property(description: 'whether you may take it over')] public bool $may_take,
        #[ListOf(ModelRow::class)] public array $rows,
        #[ListOf(ModelItem::class)] public array $items,
        #[ListOf('string')] public array $numbered,
        #[OA\Property(description: 'how many assemblies of the model are known')] public int $known,
        #[OA\Property(description: 'the act, by which it is undone')] public ?string $stroke,
    ) {}
}
