<?php

declare(strict_types=1);

namespace App\ChangeNotices\Data;

use App\Http\Api\ListOf;
use App\Orders\Data\PartChange;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Release\ChangedPart;

/** What differs in one subject of the order: the structure of an item, what a plant builds of it, its data. */
#[OA\Schema]
final readonly class NoticeSubject
{
    /** @param  list<PartChange>  $parts */
    private function __construct(
        #[OA\Property(description: 'engineering, manufacturing, item_data')] public string $kind,
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'empty where it is of no plant')] public string $plant,
        #[OA\Property] public ?string $was,
        #[OA\Property] public string $becomes,
        #[ListOf(PartChange::class)] public array $parts,
    ) {}

    /** @param  array<string, string>  $titles  of items, by number */
    public static function of(Work $work, array $titles): self
    {
        return new self(
            kind: $work->subject->kind,
            item: $work->subject->item,
            title: $titles[$work->subject->item] ?? '',
            plant: $work->subject->plant,
            was: $work->base->revision,
            becomes: $work->base->becomes(),
            parts: array_map(static fn(ChangedPart $part): PartChange => PartChange::of($part, $titles), ChangedPart::of($work)),
        );
    }
}
