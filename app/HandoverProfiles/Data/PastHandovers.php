<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Data;

use App\Http\Api\ListOf;
use App\Releases\Models\Handover;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use OpenApi\Attributes as OA;

/** Hand-overs whose name or title has some words, the newest first; so many of all. */
#[OA\Schema]
final readonly class PastHandovers
{
    private const AT_ONCE = 20;

    /** @param  list<PastHandover>  $rows */
    private function __construct(#[OA\Property] public int $total, #[ListOf(PastHandover::class)] public array $rows) {}

    public static function with(string $words): self
    {
        $some = Handover::query();
        foreach (preg_split('/\s+/', $words, flags: PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $like = '%' . addcslashes($word, '%_\\') . '%';
            $some->where(
                static fn(Builder $one): Builder => $one
                    ->whereRaw('handovers.name ILIKE ?', [$like])
                    ->orWhereHas('order', static fn(Builder $order): Builder => $order->whereRaw('title ILIKE ?', [$like])),
            );
        }
        $total = (clone $some)->count();
        $page = $some->with('order')->orderByDesc('id')->limit(self::AT_ONCE);
        /** @var Collection<int, Handover> $rows */
        $rows = $page->get();

        return new self($total, array_values($rows->map(static fn(Handover $one): PastHandover => PastHandover::of($one))->all()));
    }
}
