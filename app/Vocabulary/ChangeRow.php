<?php

declare(strict_types=1);

namespace App\Vocabulary;

use Carbon\CarbonImmutable;
use OpenApi\Attributes as OA;

/** A report, a request or an order as it appears in any list. Each area makes the rows of its own. */
#[OA\Schema]
final readonly class ChangeRow
{
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property(enum: ['report', 'request', 'order'])] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property(enum: ['critical', 'high', 'normal', 'low'])] public string $priority,
        #[OA\Property] public string $state,
        #[OA\Property(description: 'the step of work it is at')] public string $step,
        #[OA\Property] public bool $open,
        #[OA\Property] public string $raised_at,
        #[OA\Property] public string $raised_by,
        #[OA\Property] public ?string $site,
        #[OA\Property] public ?string $source,
        #[OA\Property] public ?string $effective_on,
        #[OA\Property(description: 'who has to act, when it is one person')] public ?string $waits_for,
        #[OA\Property(description: 'an order that is not released yet: what it does is still ahead')] public bool $ahead = false,
    ) {}

    /** From a row that ChangeSearch has read. */
    public static function read(\stdClass $row): self
    {
        return new self(
            number: $row->number,
            type: $row->type,
            title: $row->title,
            priority: $row->priority,
            state: $row->state,
            step: $row->step,
            open: $row->open,
            raised_at: CarbonImmutable::parse($row->raised_at)->toIso8601String(),
            raised_by: $row->raised_by,
            site: $row->site,
            source: $row->source,
            effective_on: $row->effective_on,
            waits_for: $row->waits_for,
            ahead: $row->ahead,
        );
    }
}
