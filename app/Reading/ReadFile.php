<?php

declare(strict_types=1);

namespace App\Reading;

use App\Files\Confined;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Reads what one request brought, in a process of its own: whatever a file does to that, the worker goes on. */
final class ReadFile implements ShouldQueue
{
    use Queueable;

    /** In which a request is answered, waiting included. */
    public const SECONDS = 120;

    private const READ_SECONDS = 45;

    private const MEGABYTES = 128;

    public int $tries = 1;

    public int $timeout = 60;

    public function __construct(public readonly string $reading)
    {
        $this->onQueue('reading');
    }

    public function handle(AnswerReading $answer): void
    {
        $reading = Reading::query()->with('person')->findOrFail($this->reading);
        if ($reading->ended_at !== null) {
            return;
        }
        if (config('orthotaxis.files.read_apart') !== true) {
            $answer($reading);

            return;
        }
        $end = Confined::run(['artisan', 'readings:answer', $reading->id], seconds: self::READ_SECONDS, megabytes: self::MEGABYTES);
        $end->whole() || $reading->refuse($end->sentence());
    }

    public function failed(\Throwable $fault): void
    {
        Reading::query()->where('id', $this->reading)->first()?->refuse('Reading this file broke off. Nothing of it was saved.');
    }
}
