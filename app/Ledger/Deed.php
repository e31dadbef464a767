<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Support\Str;

/** An act whose own properties are what the ledger keeps of it, by their names in snake case. */
abstract readonly class Deed implements Act
{
    public const NAME = '';

    public function __construct(public string $by, public string $of) {}

    public function by(): string
    {
        return $this->by;
    }

    public function of(): string
    {
        return $this->of;
    }

    public function name(): string
    {
        return static::NAME;
    }

    public function details(): array
    {
        $details = [];
        foreach (get_object_vars($this) as $name => $value) {
            // What is not said is not kept.
            if ($name !== 'by' && $name !== 'of' && $value !== null) {
                $details[Str::snake($name)] = $value instanceof \BackedEnum ? $value->value : $value;
            }
        }

        return $details;
    }
}
