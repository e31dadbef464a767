<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Routing\Operation;
use Orthotaxis\Core\Routing\OperationField;

/** The fields of an operation as text. */
#[OA\Schema]
final readonly class OperationData
{
    /** @param  list<string>  $tools */
    private function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public int $number,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'by its code at the plant; empty: a supplier does it')] public string $work_centre,
        #[OA\Property(description: 'minutes for a batch')] public string $set_up,
        #[OA\Property(description: 'minutes')] public string $run,
        #[OA\Property(enum: ['unit', 'batch'])] public string $per,
        #[OA\Property(description: 'who does it outside; empty: the plant')] public string $supplier,
        #[OA\Property(description: 'what the supplier takes for a unit')] public string $cost,
        #[OA\Property(description: 'days outside')] public string $lead_time,
        #[OA\Property(description: 'the number of a document')] public string $instruction,
        #[ListOf('string')] public array $tools,
        #[OA\Property] public string $inspection,
        #[OA\Property(description: 'the number of a document')] public string $specification,
    ) {}

    public static function of(Operation $operation): self
    {
        return new self(
            key: $operation->key,
            number: $operation->number,
            title: $operation->title,
            work_centre: $operation->workCentre,
            set_up: $operation->text(OperationField::SetUp),
            run: $operation->text(OperationField::Run),
            per: $operation->per->value,
            supplier: $operation->supplier,
            cost: $operation->text(OperationField::Cost),
            lead_time: $operation->text(OperationField::LeadTime),
            instruction: $operation->instruction,
            tools: $operation->tools,
            inspection: $operation->inspection,
            specification: $operation->specification,
        );
    }
}
