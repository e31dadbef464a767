<?php

declare(strict_types=1);

namespace App\Paths\Data;

use App\Http\Api\ListOf;
use App\Paths\Judged;
use App\Paths\StepTimes;
use App\People\Models\Person;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Approval\Progress;

/** The path of a change: what is done, now and ahead, who acts, since when and by when. */
#[OA\Schema]
final readonly class PathPicture
{
    /**
     * @param  list<PathStepPicture>  $steps
     * @param  list<string>  $waits_for  titles of the tasks of the stage without which it is not over
     * @param  list<string>  $stuck  why it cannot come to its end
     * @param  list<int>  $signable  places of the steps that you can sign now
     * @param  list<int>  $back_to  stages to which you can send it back, besides to who edits or raised it
     */
    private function __construct(
        #[OA\Property(description: 'its code; null: none was set up for it')] public ?string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'of the path; the change stays on it')] public ?int $version,
        #[OA\Property(description: 'that is under way; null: all is done')] public ?int $stage,
        #[ListOf(PathStepPicture::class)] public array $steps,
        #[ListOf('string')] public array $waits_for,
        #[OA\Property(description: 'whether a rule chooses it, until it is judged')] public bool $by_rule,
        #[ListOf('string')] public array $stuck,
        #[ListOf('integer')] public array $signable,
        #[ListOf('integer')] public array $back_to,
    ) {}

    /**
     * @param  ?Person  $reader  whose turn it may be
     * @param  bool  $byRule  whether a rule chose it
     * @param  list<int>  $backTo  as SentBackTo tells them
     */
    public static function of(Judged $change, Progress $progress, ?Person $reader, bool $byRule, array $backTo): self
    {
        $held = $change->signatures()->where('void', false)->sortBy('id')->values();
        $ids = $held->pluck('person_id')->merge($held->pluck('for_id'));
        foreach ($progress->steps as $step) {
            $ids = $ids->merge($step->people)->merge(array_keys($step->acting));
        }
        /** @var array<int, string> $names */
        $names = Person::query()
            ->whereIn('id', $ids->filter()->unique())
            ->pluck('name', 'id')
            ->all();
        $path = $change->approvalPath();
        $steps = [];
        $since = StepTimes::since($change, $progress);
        foreach ($progress->steps as $at => $step) {
            $steps[] = PathStepPicture::of($step, $held->where('step', $at), $names, $since[$at] ?? null, $change->daysMoved());
        }

        return new self(
            code: $path?->code,
            name: $path->name ?? 'One signature',
            version: $path?->version,
            stage: $progress->stage,
            steps: $steps,
            waits_for: array_map(static fn(PathTask $task): string => $task->title, $progress->waitsFor),
            by_rule: $byRule,
            stuck: $progress->stuck(),
            signable: $reader === null ? [] : array_keys($progress->signable($reader->id)),
            back_to: $backTo,
        );
    }
}
