<?php

declare(strict_types=1);

namespace App\Orders\Replacing\Data;

use App\Http\Api\ListOf;
use App\Orders\Replacing\UsedIn;
use App\Structures\Data\ItemRow;
use App\Structures\Data\LineRow;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Impact\CostDifference;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Replacement\Occurrence;

/** One line that has the component, as it is and as it would be. */
#[OA\Schema]
final readonly class ReplacementRow
{
    /**
     * @param  list<LineRow>  $after
     * @param  list<LineRow>  $beside
     * @param  list<string>  $elsewhere  other open orders that revise the parent
     * @param  list<string>  $without_cost  numbers
     */
    private function __construct(
        #[OA\Property] public ItemRow $item,
        #[OA\Property(description: '"engineering", "manufacturing:Weir"')] public string $work,
        #[OA\Property] public LineRow $before,
        #[ListOf(LineRow::class)] public array $after,
        #[OA\Property(description: 'why it cannot be so')] public ?string $fault,
        #[ListOf(LineRow::class)] public array $beside,
        #[OA\Property(description: 'whether the order changes this already, or may')] public bool $named,
        #[ListOf('string')] public array $elsewhere,
        #[OA\Property(description: 'what one of the parent costs more once all of it holds')] public string $cost,
        #[ListOf('string')] public array $without_cost,
    ) {}

    public static function of(
        UsedIn $use,
        ItemRow $item,
        Occurrence $one,
        bool $named,
        string $order,
        ?Refusal $fault,
        CostDifference $cost,
    ): self {
        return new self(
            item: $item,
            work: $use->subject->work(),
            before: LineRow::of($one->before),
            after: array_map(LineRow::of(...), $one->after),
            fault: $fault === null ? null : implode(' ', $fault->reasons),
            beside: array_map(LineRow::of(...), $one->beside),
            named: $named,
            elsewhere: array_values(array_filter($item->being_revised_by, static fn(string $other): bool => $other !== $order)),
            cost: (string) ($fault === null ? $cost->perUnit : '0'),
            without_cost: $fault === null ? $cost->missing : [],
        );
    }
}
