<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Quantity\Exact;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;

/** An engineering line while what manufacturing has is given to it. */
final class Slot
{
    /** What it still wants; below zero: what it has too much. In its unit. */
    private Exact $rest;

    /** @var list<Share> */
    private array $shares = [];

    private ?string $why = null;

    /** The item of which it wants something; null where it wants nothing. */
    public readonly ?string $component;

    public readonly Unit $unit;

    private readonly Exact $wanted;

    public function __construct(public readonly Line $line, private readonly ?OnRecord $record)
    {
        $quantity = Exact::of($line->quantity);
        $this->component = $record === null ? $line->component : $record->by;
        $this->unit = $record->unit ?? $line->unit;
        $this->wanted = match (true) {
            $record === null => $quantity,
            $record->by === null => Exact::zero(),
            default => $quantity->times(Exact::of($record->new))->over(Exact::of($record->old)),
        };
        $this->rest = $this->wanted;
    }

    public function isFull(): bool
    {
        return $this->rest->sign() <= 0;
    }

    /** Takes all of it, be it too much. */
    public function takeAll(Part $part, Exact $quantity): void
    {
        if (!$part->unit()->measuresLike($this->unit)) {
            $this->why ??= "built in {$part->unit()->value}, declared in {$this->unit->value}: these do not convert";
            $this->shares[] = new Share($part, $quantity);

            return;
        }
        $this->shares[] = new Share($part, $quantity);
        $this->rest = $this->rest->minus($quantity->in($part->unit(), $this->unit));
    }

    /** Takes what it wants of it; what is left over, in the unit of the part. */
    public function take(Part $part, Exact $quantity): Exact
    {
        if (!$part->unit()->measuresLike($this->unit)) {
            $this->takeAll($part, $quantity);

            return Exact::zero();
        }
        $left = $quantity->minus($this->rest->in($this->unit, $part->unit()));
        $taken = $left->sign() > 0 ? $quantity->minus($left) : $quantity;
        $this->takeAll($part, $taken);

        return $left->sign() > 0 ? $left : Exact::zero();
    }

    /** It is built although the record says otherwise. */
    public function builtAllTheSame(Part $part): void
    {
        $this->why =
            "{$this->line->component} is " . ($this->component === null ? 'left out' : 'replaced') . ' on record, and built all the same';
        $this->shares[] = new Share($part, $part->quantity);
    }

    public function accounted(): Accounted
    {
        return new Accounted(
            line: $this->line,
            account: $this->account(),
            shares: $this->shares,
            record: $this->record,
            wanted: $this->wanted,
            rest: $this->rest,
            unit: $this->unit,
            why: $this->why,
        );
    }

    private function account(): Account
    {
        $otherwise = $parts = false;
        foreach ($this->shares as $share) {
            $otherwise = $otherwise || $share->part->scrap || $share->part->unit() !== $this->unit;
            $parts = $parts || $share->part->through !== [];
        }

        return match (true) {
            $this->rest->sign() !== 0, $this->why !== null => Account::Open,
            $this->record !== null => $this->component === null ? Account::LeftOut : Account::Replaced,
            $otherwise => Account::Otherwise,
            $parts, count($this->shares) > 1 => Account::InParts,
            default => Account::InFull,
        };
    }
}
