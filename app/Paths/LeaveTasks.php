<?php

declare(strict_types=1);

namespace App\Paths;

use App\People\Models\Person;
use App\Tasks\Actions\MoveTask;
use App\Tasks\Models\ChangeTask;
use Illuminate\Database\Eloquent\Builder;

/** What was to be done on a path that a change has left is withdrawn. */
final readonly class LeaveTasks
{
    public function __construct(private MoveTask $moves) {}

    /**
     * @param  string  $change  its number
     * @param  ?int  $path  on which it goes now
     */
    public function __invoke(Person $by, string $change, ?int $path): void
    {
        $left = ChangeTask::openOf($change)
            ->whereNotNull('path_id')
            ->when($path !== null, static fn(Builder $tasks): Builder => $tasks->where('path_id', '!=', $path))
            ->orderBy('id')
            ->pluck('number');
        foreach ($left as $number) {
            $this->moves->withdraw($by, (string) $number, 'It goes on another approval path.');
        }
    }
}
