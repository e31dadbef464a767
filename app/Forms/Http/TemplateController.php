<?php

declare(strict_types=1);

namespace App\Forms\Http;

use App\Files\ShownFile;
use App\Forms\Actions\SetTemplate;
use App\Forms\Data\TemplateRow;
use App\Forms\Docx\BlankForm;
use App\Forms\Docx\Package;
use App\Forms\Models\FormTemplate;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** The templates of forms, and what their tags mean. */
final readonly class TemplateController
{
    public function __construct(private SetTemplate $action) {}

    #[OA\Get(path: '/api/form-templates', operationId: 'formTemplates', tags: ['set-up'])]
    #[OkList(TemplateRow::class), Refused]
    public function index(): JsonResponse
    {
        return new JsonResponse(FormTemplate::query()->orderBy('name')->get()->map(TemplateRow::of(...)));
    }

    #[
        OA\Get(
            path: '/api/form-templates/blank',
            operationId: 'blankForm',
            tags: ['set-up'],
            responses: [new OA\Response(response: 200, description: 'A DOCX with a control for every field, to lay out a template with')],
        ),
    ]
    #[Refused]
    public function blank(): BinaryFileResponse
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'orthotaxis-form-');
        BlankForm::make()->save($path);

        return (new BinaryFileResponse($path, headers: ['Content-Type' => Package::MEDIA_TYPE]))
            ->setContentDisposition('attachment', 'blank-form.docx')
            ->deleteFileAfterSend();
    }

    #[
        OA\Get(
            path: '/api/form-templates/{id}/file',
            operationId: 'formTemplateFile',
            tags: ['set-up'],
            responses: [new OA\Response(response: 200, description: 'The DOCX as it was brought')],
        ),
    ]
    #[InPath('id'), Refused]
    public function file(int $id): Response
    {
        $template = FormTemplate::query()->findOrFail($id);

        return ShownFile::of($template->file_id, Package::MEDIA_TYPE, $template->file_name, $template->sha256);
    }

    #[
        OA\Post(
            path: '/api/form-templates',
            operationId: 'addFormTemplate',
            tags: ['set-up'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(ref: NewTemplate::class)),
            ),
        ),
    ]
    #[Ok(Done::class), Refused]
    public function store(NewTemplate $request, #[CurrentUser] Person $person): JsonResponse
    {
        $file = $request->brought();
        $template = $this->action->add(
            $person,
            $request->string('name')->trim()->toString(),
            $request->reasons(),
            $file->getRealPath(),
            $file->getClientOriginalName(),
        );

        return new JsonResponse(new Done((string) $template->id, $template->version));
    }

    #[OA\Patch(path: '/api/form-templates/{id}', operationId: 'setFormTemplate', tags: ['set-up'])]
    #[InPath('id'), Takes(TemplateRule::class), Ok(Done::class), Refused]
    public function update(int $id, TemplateRule $request, #[CurrentUser] Person $person): JsonResponse
    {
        $template = $this->action->set(
            $person,
            $id,
            $request->string('name')->trim()->toString(),
            $request->reasons(),
            $request->boolean('offered'),
            $request->mapping(),
            $request->integer('version'),
        );

        return new JsonResponse(new Done((string) $template->id, $template->version));
    }

    #[
        OA\Post(
            path: '/api/form-templates/{id}/file',
            operationId: 'replaceFormTemplate',
            tags: ['set-up'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(ref: NewTemplate::class)),
            ),
        ),
    ]
    #[InPath('id'), Ok(Done::class), Refused]
    public function replace(int $id, NewTemplate $request, #[CurrentUser] Person $person): JsonResponse
    {
        $file = $request->brought();
        $template = $this->action->replace(
            $person,
            $id,
            $file->getRealPath(),
            $file->getClientOriginalName(),
            $request->integer('version'),
        );

        return new JsonResponse(new Done((string) $template->id, $template->version));
    }
}
