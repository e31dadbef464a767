<?php

declare(strict_types=1);

namespace App\Forms\Http;

use App\Files\ShownFile;
use App\Forms\Actions\HandOutForm;
use App\Forms\Actions\TakeInForm;
use App\Forms\Data\FormPreview;
use App\Forms\Data\FormsPage;
use App\Forms\Docx\Package;
use App\Forms\Models\HandedForm;
use App\Forms\ReturnedFile;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** Forms that are handed out from a request, filled in without an account, and taken in again. */
final readonly class FormController
{
    #[OA\Get(path: '/api/requests/{number}/forms', operationId: 'forms', tags: ['assessment'])]
    #[InPath('number'), Ok(FormsPage::class), Refused]
    public function index(string $number): JsonResponse
    {
        return new JsonResponse(FormsPage::of($number));
    }

    #[OA\Post(path: '/api/requests/{number}/forms', operationId: 'handOutForm', tags: ['assessment'])]
    #[InPath('number'), Takes(ChosenTemplate::class), Ok(Done::class), Refused]
    public function handOut(string $number, ChosenTemplate $request, #[CurrentUser] Person $person, HandOutForm $action): JsonResponse
    {
        $action->out($person, $number, $request->integer('template'));

        return new JsonResponse(ChangeRequest::done($number));
    }

    #[
        OA\Get(
            path: '/api/forms/{number}/file',
            operationId: 'formFile',
            tags: ['assessment'],
            responses: [new OA\Response(response: 200, description: 'The DOCX, filled from the request as it was then')],
        ),
    ]
    #[InPath('number'), Refused]
    public function file(string $number): Response
    {
        $form = HandedForm::query()->with('request')->where('number', $number)->firstOrFail();

        return ShownFile::of(
            $form->file_id,
            Package::MEDIA_TYPE,
            "{$form->number} {$form->request->number}.docx",
            hash('sha256', $form->code),
        );
    }

    #[OA\Delete(path: '/api/forms/{number}', operationId: 'withdrawForm', tags: ['assessment'])]
    #[InPath('number'), Ok(Done::class), Refused]
    public function withdraw(string $number, #[CurrentUser] Person $person, HandOutForm $action): JsonResponse
    {
        return new JsonResponse(ChangeRequest::done($action->withdraw($person, $number)->request->number));
    }

    #[
        OA\Post(
            path: '/api/requests/{number}/returned-form',
            operationId: 'lookAtForm',
            tags: ['assessment'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(ref: BroughtForm::class)),
            ),
        ),
    ]
    #[InPath('number'), Ok(FormPreview::class), Refused]
    public function look(string $number, BroughtForm $request): JsonResponse
    {
        $of = ChangeRequest::query()->with('items')->where('number', $number)->firstOrFail();

        return new JsonResponse(FormPreview::of(ReturnedFile::read($request->brought()->getRealPath(), $of), $of->version));
    }

    #[
        OA\Post(
            path: '/api/requests/{number}/returned-form/taken',
            operationId: 'takeInForm',
            tags: ['assessment'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(ref: BroughtForm::class)),
            ),
        ),
    ]
    #[InPath('number'), Ok(Done::class), Refused]
    public function takeIn(string $number, BroughtForm $request, #[CurrentUser] Person $person, TakeInForm $action): JsonResponse
    {
        $file = $request->brought();
        $action->in($person, $number, $file->getRealPath(), $file->getClientOriginalName(), $request->tags(), $request->integer('version'));

        return new JsonResponse(ChangeRequest::done($number));
    }

    #[OA\Delete(path: '/api/forms/{number}/taken', operationId: 'takeFormBack', tags: ['assessment'])]
    #[InPath('number'), Ok(Done::class), Refused]
    public function takeBack(string $number, #[CurrentUser] Person $person, TakeInForm $action): JsonResponse
    {
        return new JsonResponse(ChangeRequest::done($action->back($person, $number)->request->number));
    }
}
