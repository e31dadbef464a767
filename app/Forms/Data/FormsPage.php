<?php

declare(strict_types=1);

namespace App\Forms\Data;

use App\Forms\Models\FormTemplate;
use App\Forms\Models\HandedForm;
use App\Http\Api\ListOf;
use App\Requests\Models\ChangeRequest;
use OpenApi\Attributes as OA;

/** The forms of a request: what may be handed out, and what was. */
#[OA\Schema]
final readonly class FormsPage
{
    /**
     * @param  list<OfferedTemplate>  $templates
     * @param  list<HandedFormRow>  $forms  newest first
     */
    public function __construct(
        #[OA\Property] public string $request,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'whether forms may be handed out and taken in now')] public bool $open,
        #[OA\Property] public int $version,
        #[ListOf(OfferedTemplate::class)] public array $templates,
        #[ListOf(HandedFormRow::class)] public array $forms,
    ) {}

    public static function of(string $number): self
    {
        $request = ChangeRequest::query()->where('number', $number)->firstOrFail();

        return new self(
            request: $request->number,
            title: $request->title,
            open: $request->state->isAssessed(),
            version: $request->version,
            templates: FormTemplate::query()
                ->where('offered', true)
                ->orderBy('name')
                ->get()
                ->filter(
                    static fn(FormTemplate $template): bool => $template->reasons === [] ||
                        in_array($request->reason, $template->reasons, true),
                )
                ->map(static fn(FormTemplate $template): OfferedTemplate => new OfferedTemplate($template->id, $template->name))
                ->values()
                ->all(),
            forms: HandedForm::query()
                ->with(['template', 'handedBy', 'settledBy'])
                ->where('request_id', $request->id)
                ->orderByDesc('id')
                ->get()
                ->map(HandedFormRow::of(...))
                ->values()
                ->all(),
        );
    }
}
