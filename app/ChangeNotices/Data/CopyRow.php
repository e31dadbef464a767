<?php

declare(strict_types=1);

namespace App\ChangeNotices\Data;

use App\ChangeNotices\Models\NoticeCopy;
use App\Days\Today;
use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Calendar\Day;

/** Somebody to whom a change notice went, and what they have done with it. */
#[OA\Schema]
final readonly class CopyRow
{
    /** @param  list<string>  $lists  none: by hand */
    private function __construct(
        #[OA\Property] public string $person,
        #[OA\Property(description: 'sign-in name')] public string $login,
        #[ListOf('string')] public array $lists,
        #[OA\Property(description: 'whether they are asked to acknowledge it')] public bool $acknowledge,
        #[OA\Property] public ?string $due_on,
        #[OA\Property] public bool $overdue,
        #[OA\Property] public string $sent_at,
        #[OA\Property] public int $times_sent,
        #[OA\Property] public ?string $opened_at,
        #[OA\Property] public ?string $acknowledged_at,
    ) {}

    public static function of(NoticeCopy $copy): self
    {
        return new self(
            person: $copy->person->name,
            login: $copy->person->login,
            lists: $copy->lists,
            acknowledge: $copy->acknowledge,
            due_on: $copy->due_on,
            overdue: $copy->acknowledge &&
                $copy->acknowledged_at === null &&
                $copy->due_on !== null &&
                Day::parse($copy->due_on)->isBefore(Today::day()),
            sent_at: $copy->sent_at->toIso8601String(),
            times_sent: $copy->times_sent,
            opened_at: $copy->opened_at?->toIso8601String(),
            acknowledged_at: $copy->acknowledged_at?->toIso8601String(),
        );
    }
}
