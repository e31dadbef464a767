<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\CutIn\Swap;
use Orthotaxis\Core\CutIn\SwapPart;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;

/** What goes and what comes in some parents. */
#[OA\Schema]
final readonly class CutInSwap
{
    /**
     * @param  list<string>  $gone
     * @param  list<CutInSwapPart>  $come
     * @param  list<string>  $parents
     */
    private function __construct(
        #[ListOf('string')] public array $gone,
        #[ListOf(CutInSwapPart::class)] public array $come,
        #[
            OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'numbers; none: all that have what goes'),
        ]
        public array $parents,
    ) {}

    /** @param  array<string, Unit>  $units  of the parts, by number */
    public static function of(Swap $swap, array $units): self
    {
        return new self(
            $swap->gone,
            array_map(
                static fn(SwapPart $part): CutInSwapPart => new CutInSwapPart($part->item, self::ratio($part, $units[$part->item] ?? null)),
                $swap->come,
            ),
            $swap->parents,
        );
    }

    public static function item(string $number): self
    {
        return new self([$number], [], []);
    }

    /** In the unit of the item, where a parent takes it and nothing goes. */
    private static function ratio(SwapPart $part, ?Unit $unit): ?string
    {
        $ratio = $part->ratio;
        if ($ratio !== null && $part->unit !== null && $unit !== null) {
            $ratio = $part->unit->measuresLike($unit) ? $part->unit->convert($ratio, $unit) : null;
        }

        return $ratio instanceof Quantity ? (string) $ratio : null;
    }
}
