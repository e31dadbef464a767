<?php

declare(strict_types=1);

namespace App\Forms\Data;

use App\People\Rights;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Form\Proposal;
use Orthotaxis\Core\Form\TagUse;

/** One thing that taking a form in would do. */
#[OA\Schema]
final readonly class ProposalRow
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $label,
        #[OA\Property(enum: TagUse::class)] public string $use,
        #[OA\Property(description: 'of a field, as it is now')] public string $before,
        #[OA\Property(description: 'the new value, the finding, the question')] public string $after,
        #[OA\Property(description: 'that a question is about')] public string $item,
        #[OA\Property(nullable: true)] public ?string $function,
        #[OA\Property(description: 'whom a question is put to, or who does a task; a group as group: and its code')] public ?string $asked,
        #[OA\Property] public ?string $due_on,
        #[OA\Property(description: 'why it cannot be taken in')] public ?string $fault,
    ) {}

    /** @param  array<string, string>  $names  of people, by sign-in name */
    public static function of(Proposal $proposal, array $names): self
    {
        $to = $proposal->question->to ?? ($proposal->task->to ?? null);

        return new self(
            tag: $proposal->tag,
            label: $proposal->label,
            use: $proposal->use->value,
            before: $proposal->before,
            after: $proposal->use === TagUse::Attachment ? '' : $proposal->after,
            item: $proposal->item,
            function: $proposal->question?->function,
            asked: $to === null ? null : app(Rights::class)->name($to) ?? ($names[$to] ?? $to),
            due_on: $proposal->due?->__toString(),
            fault: $proposal->fault,
        );
    }
}
