<?php

declare(strict_types=1);

namespace App\Planning\Jobs;

use App\Planning\ExposureReader;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Cache;

/** Asks planning again, with more patience than a person has, and remembers the answer for whoever looks next. */
final class AskPlanning implements ShouldQueue
{
    use Queueable;

    private const PAUSE = 30;

    public int $tries = 1;

    public int $timeout = 300;

    /** @param  array<int, string>  $numbers  id => number of items */
    private function __construct(public readonly array $numbers)
    {
        // Hand-overs do not wait behind it.
        $this->onQueue('long');
    }

    /**
     * The same question once in a while only, however many people put it.
     *
     * @param  array<int, string>  $numbers  id => number of items
     */
    public static function inBackground(array $numbers): void
    {
        if (Cache::add('planning is asked again ' . hash('xxh128', implode(',', $numbers)), 1, self::PAUSE)) {
            dispatch(new self($numbers));
        }
    }

    public function handle(ExposureReader $reader): void
    {
        $nothing = static fn() => null;
        $reader->each($this->numbers, $nothing, $nothing);
    }
}
