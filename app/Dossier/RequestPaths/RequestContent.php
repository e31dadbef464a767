<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths;

use App\Assessment\Models\Question;
use App\CutIn\Models\CutIn;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Requests\Models\ChangeRequest;
use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Approval\RequestDigest;
use Orthotaxis\Core\Assessment\QuestionState;
use Orthotaxis\Core\Change\OrderState;

/** What whoever judges a request has on screen, as a digest. */
final readonly class RequestContent
{
    public function __construct(private OrderReader $orders) {}

    public function digest(ChangeRequest $request): string
    {
        $request->loadMissing(['items:id,number', 'reports.files', 'gathered.files', 'files']);
        $files = $request->files->concat($request->reports->flatMap->files)->concat($request->gathered->flatMap->files);

        return RequestDigest::of(
            [
                'number' => $request->number,
                'title' => $request->title,
                'reason' => $request->reason,
                'source' => $request->source,
                'site' => $request->site,
                'priority' => $request->priority,
                'description' => $request->description,
                'finding' => $request->finding,
                'proposal' => $this->proposal($request),
                'cut_in' => (string) CutIn::query()->where('request_id', $request->id)->orderByDesc('id')->first()?->chosen_on,
            ],
            [
                'items' => $this->texts($request->items->pluck('number')->all()),
                'reports' => $this->texts($request->reports->pluck('number')->all()),
                'gathered' => $this->texts($request->gathered->pluck('number')->all()),
                'files' => $this->texts($files->pluck('sha256')->all()),
                'answers' => $this->answers($request),
            ],
        );
    }

    private function proposal(ChangeRequest $request): string
    {
        $proposal = ChangeOrder::query()->where('number', $request->number)->where('state', OrderState::Proposed)->first();

        return $proposal === null ? '' : Digest::of($this->orders->toCore($proposal));
    }

    /** @return list<string> */
    private function answers(ChangeRequest $request): array
    {
        return array_values(
            Question::query()
                ->where('request_id', $request->id)
                ->where('state', '!=', QuestionState::Withdrawn->value)
                ->get()
                ->map(static fn(Question $one): string => "{$one->id} {$one->state->value} {$one->text} {$one->answer}")
                ->all(),
        );
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @return list<string>
     */
    private function texts(array $values): array
    {
        return array_values(array_filter($values, is_string(...)));
    }
}
