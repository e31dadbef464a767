<?php

declare(strict_types=1);

namespace App\Requests\Http;

use App\Attachments\Actions\BringFile;
use App\Attachments\Http\NewChangeFile;
use App\Attachments\Models\ChangeFile;
use App\Files\ShownFile;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Done;
use App\People\Models\Person;
use App\Problems\Models\ProblemReport;
use App\Requests\Models\ChangeRequest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** Files that belong to reports and requests. */
final readonly class ChangeFileController
{
    public function __construct(private BringFile $action) {}

    #[
        OA\Get(
            path: '/api/change-files/{id}',
            operationId: 'changeFileContent',
            tags: ['changes'],
            responses: [new OA\Response(response: 200, description: 'The file as it was brought')],
        ),
    ]
    #[InPath('id'), Refused]
    public function content(string $id): Response
    {
        $file = ChangeFile::query()->findOrFail($id);

        return ShownFile::of($file->file_id, $file->media_type, $file->name, $file->sha256);
    }

    #[
        OA\Post(
            path: '/api/requests/{number}/files',
            operationId: 'bringFileToRequest',
            tags: ['changes'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(ref: NewChangeFile::class)),
            ),
        ),
    ]
    #[InPath('number'), Ok(Done::class), Refused]
    public function toRequest(string $number, NewChangeFile $request, #[CurrentUser] Person $person): JsonResponse
    {
        $file = $request->brought();
        $this->action->bring(
            $person,
            ChangeRequest::query()->where('number', $number)->firstOrFail(),
            $request->role(),
            $file->getRealPath(),
            $file->getClientOriginalName(),
        );

        return new JsonResponse(ChangeRequest::done($number));
    }

    #[
        OA\Post(
            path: '/api/reports/{number}/files',
            operationId: 'bringFileToReport',
            tags: ['reports'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(ref: NewChangeFile::class)),
            ),
        ),
    ]
    #[InPath('number'), Ok(Done::class), Refused]
    public function toReport(string $number, NewChangeFile $request, #[CurrentUser] Person $person): JsonResponse
    {
        $file = $request->brought();
        $this->action->bring(
            $person,
            ProblemReport::query()->where('number', $number)->firstOrFail(),
            $request->role(),
            $file->getRealPath(),
            $file->getClientOriginalName(),
        );

        return new JsonResponse(ProblemReport::done($number));
    }

    #[
        OA\Delete(
            path: '/api/change-files/{id}',
            operationId: 'takeChangeFileAway',
            tags: ['changes'],
            responses: [new OA\Response(response: 204, description: 'It is gone.')],
        ),
    ]
    #[InPath('id'), Refused]
    public function takeAway(string $id, #[CurrentUser] Person $person): Response
    {
        $file = ChangeFile::query()->findOrFail($id);
        $this->action->takeAway(
            $person,
            $id,
            ProblemReport::query()->find($file->report_id) ?? ChangeRequest::query()->findOrFail($file->request_id),
        );

        return new Response(status: 204);
    }
}
