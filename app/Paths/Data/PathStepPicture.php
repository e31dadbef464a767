<?php

declare(strict_types=1);

namespace App\Paths\Data;

use App\Days\Today;
use App\Http\Api\ListOf;
use App\Paths\Models\Signature;
use App\Paths\StepTimes;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Approval\Meaning;
use Orthotaxis\Core\Approval\StepRun;
use Orthotaxis\Core\Approval\StepStanding;

/** One step of the path of a change. */
#[OA\Schema]
final readonly class PathStepPicture
{
    /**
     * @param  list<string>  $people  names of those who may sign it
     * @param  list<PathSignature>  $signed
     * @param  list<string>  $checks  what whoever signs ticks first
     * @param  list<string>  $acting  names of those who can sign it as soon as it is its turn
     */
    private function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public int $stage,
        #[OA\Property(enum: StepStanding::class)] public string $standing,
        #[OA\Property(enum: Meaning::class)] public string $meaning,
        #[OA\Property(description: '0: all')] public int $needed,
        #[OA\Property] public bool $with_password,
        #[ListOf('string')] public array $people,
        #[ListOf(PathSignature::class)] public array $signed,
        #[OA\Property(description: 'how many signatures are missing')] public int $lacking,
        #[ListOf('string')] public array $acting,
        #[OA\Property(description: 'since when it is its turn')] public ?string $since,
        #[OA\Property] public ?string $due_on,
        #[OA\Property] public bool $overdue,
        #[ListOf('string')] public array $checks,
        #[OA\Property(description: 'why it was left out or given to others; empty: it was not')] public string $reason,
    ) {}

    /**
     * @param  Collection<int, Signature>  $held  of this step
     * @param  array<int, string>  $names  by id
     * @param  ?CarbonImmutable  $since  when its stage began; null: it is not its turn
     * @param  int  $moved  days by which what is due has moved while the change was on hold
     */
    public static function of(StepRun $run, Collection $held, array $names, ?CarbonImmutable $since, int $moved): self
    {
        $step = $run->step;
        $due = $since === null ? null : StepTimes::due($step, $since, $moved);
        $name = static fn(int $id): string => $names[$id] ?? '';

        return new self(
            name: $step->name,
            stage: $step->stage,
            standing: $run->standing->value,
            meaning: $step->meaning->value,
            needed: $step->needed,
            with_password: $step->withPassword,
            people: array_map($name, $run->people),
            signed: array_values(
                $held->where('meaning', 'signed')->map(static fn(Signature $one): PathSignature => PathSignature::of($one, $names))->all(),
            ),
            lacking: $run->lacking,
            acting: array_map($name, array_keys($run->acting)),
            since: $since?->toIso8601String(),
            due_on: $due === null ? null : (string) $due,
            overdue: $due !== null && $due->isBefore(Today::day()),
            checks: $step->checks,
            reason: $held->whereIn('meaning', ['skipped', 'reassigned'])->last()->reason ?? '',
        );
    }
}
