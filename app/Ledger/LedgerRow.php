<?php

declare(strict_types=1);

namespace App\Ledger;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Ledger\Record;

#[OA\Schema]
final readonly class LedgerRow
{
    /** @param  array<string, mixed>  $details */
    private function __construct(
        #[OA\Property] public int $number,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'sign-in name')] public string $actor,
        #[OA\Property] public string $act,
        #[OA\Property] public string $subject,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties())] public array $details,
    ) {}

    public static function of(Record $record): self
    {
        /** @var array<string, mixed> $details */
        $details = json_decode($record->details, true, flags: JSON_THROW_ON_ERROR);

        return new self(
            number: $record->number,
            at: $record->at,
            actor: $record->actor,
            act: $record->act,
            subject: $record->subject,
            details: $details,
        );
    }
}
