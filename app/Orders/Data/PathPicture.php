<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use App\Orders\Models\ChangeOrder;
use App\Orders\Paths\SentBackTo;
use App\Orders\Paths\StepTimes;
use App\People\Models\Person;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Approval\Progress;

/** The path of an order: what is done, now and ahead, who acts, since when and by when. */
#[OA\Schema]
final readonly class PathPicture
{
    /**
     * @param  list<PathStepPicture>  $steps
     * @param  list<string>  $waits_for  titles of the tasks of the stage without which it is not over
     * @param  list<string>  $stuck  why it cannot come to its end
     * @param  list<int>  $signable  places of the steps that you can sign now
     * @param  list<int>  $back_to  stages to which you can send it back, besides the editor
     */
    private function __construct(
        #[OA\Property(description: 'its code; null: the signer of the order signs')] public ?string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'of the path; the order stays on it')] public ?int $version,
        #[OA\Property(description: 'that is under way; null: all is done')] public ?int $stage,
        #[ListOf(PathStepPicture::class)] public array $steps,
        #[ListOf('string')] public array $waits_for,
        #[OA\Property(description: 'whether a rule chooses it, until the order is sent to review')] public bool $by_rule,
        #[ListOf('string')] public array $stuck,
        #[ListOf('integer')] public array $signable,
        #[ListOf('integer')] public array $back_to,
    ) {}

    public static function of(ChangeOrder $order, Progress $progress, ?Person $reader): self
    {
        $held = $order->signatures->where('void', false)->sortBy('id')->values();
        $ids = $held->pluck('person_id')->merge($held->pluck('for_id'));
        foreach ($progress->steps as $step) {
            $ids = $ids->merge($step->people)->merge(array_keys($step->acting));
        }
        /** @var array<int, string> $names */
        $names = Person::query()
            ->whereIn('id', $ids->filter()->unique())
            ->pluck('name', 'id')
            ->all();
        $steps = [];
        $since = StepTimes::since($order, $progress);
        foreach ($progress->steps as $at => $step) {
            $steps[] = PathStepPicture::of($step, $held->where('step', $at), $names, $since[$at] ?? null, $order->days_moved);
        }

        return new self(
            code: $order->path?->code,
            name: $order->path->name ?? 'One signature',
            version: $order->path?->version,
            stage: $progress->stage,
            steps: $steps,
            waits_for: array_map(static fn(PathTask $task): string => $task->title, $progress->waitsFor),
            by_rule: $order->path_by_rule,
            stuck: $progress->stuck(),
            signable: $reader === null ? [] : array_keys($progress->signable($reader->id)),
            back_to: $reader === null ? [] : SentBackTo::stages($reader, $order, $progress),
        );
    }
}
