<?php

declare(strict_types=1);

namespace App\Planning;

use Carbon\CarbonImmutable;

/** How far what planning told can be trusted. */
final readonly class Freshness
{
    /**
     * @param  ?CarbonImmutable  $at  when, the oldest of it; null when it never told anything
     * @param  ?string  $fault  why it is not fresh
     * @param  list<string>  $unknown  our numbers that planning does not know
     * @param  list<string>  $strangers  its numbers that nobody asked about
     */
    public function __construct(
        public ?CarbonImmutable $at,
        public ?string $fault = null,
        public array $unknown = [],
        public array $strangers = [],
    ) {}
}
