<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInAssumption;

/** Gathers all that a plan takes for granted, with where it comes from. */
final class Assumed
{
    /** @var array<string, CutInAssumption> by what it is */
    private array $all = [];

    /** @param  array<string, string>  $reasons  why somebody says otherwise, by lever */
    public function __construct(private readonly array $reasons = []) {}

    /**
     * @param  string  $lever  with which somebody says otherwise; empty: with none
     * @param  string  $from  where it comes from: planning, item, plant, rule, person
     */
    public function add(string $lever, string $what, string $value, string $unit, string $from, string $item = '', string $plant = ''): void
    {
        $this->all["{$what} {$item} {$plant}"] = new CutInAssumption(
            lever: $lever === '' ? null : $lever,
            what: $what,
            item: $item,
            plant: $plant,
            value: $value,
            unit: $unit,
            from: $from,
            reason: $from === 'person' ? $this->reasons[$lever . ($item === '' ? '' : " {$item}")] ?? '' : '',
        );
    }

    /**
     * What somebody said, or else what is known, put on record either way.
     *
     * @template Value of int|string|null
     *
     * @param  Value  $said
     * @param  array{Value, string}  $else  and where it comes from
     * @return Value
     */
    public function say(string $lever, string $what, mixed $said, array $else, string $unit, string $item = '', string $plant = ''): mixed
    {
        [$value, $from] = $said === null ? $else : [$said, 'person'];
        $this->add($lever, $what, $value === null ? '' : (string) $value, $unit, $from, $item, $plant);

        return $value;
    }

    /** @return list<CutInAssumption> */
    public function all(): array
    {
        return array_values($this->all);
    }
}
