<?php

declare(strict_types=1);

namespace App\Documents\Http;

use App\Documents\Actions\AttachFile;
use App\Documents\Actions\LinkDocument;
use App\Documents\Data\DocumentPage;
use App\Documents\DocumentReader;
use App\Documents\FileRole;
use App\Documents\Models\ItemFile;
use App\Documents\Thumbnail;
use App\Files\ShownFile;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\People\Models\Person;
use App\Structures\Models\Item;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;
use Symfony\Component\HttpFoundation\Response;

/** What is written and drawn about an item. */
final readonly class DocumentController
{
    private const KB = 32_768;

    /** A design model is large. */
    private const MODEL_KB = 61_440;

    public function __construct(private DocumentReader $reader) {}

    #[OA\Get(path: '/api/items/{number}/documents', operationId: 'documents', tags: ['documents'])]
    #[InPath('number'), Ok(DocumentPage::class), Refused]
    public function show(string $number): JsonResponse
    {
        return new JsonResponse($this->reader->read(Item::query()->where('number', $number)->firstOrFail()));
    }

    #[OA\Put(path: '/api/items/{number}/documents/{document}', operationId: 'linkDocument', tags: ['documents'])]
    #[InPath('number'), InPath('document'), OA\Response(response: 204, description: 'Done.'), Refused]
    public function link(string $number, string $document, #[CurrentUser] Person $person, LinkDocument $action): Response
    {
        $action->link($person, $number, $document);

        return new Response(status: 204);
    }

    #[OA\Delete(path: '/api/items/{number}/documents/{document}', operationId: 'unlinkDocument', tags: ['documents'])]
    #[InPath('number'), InPath('document'), OA\Response(response: 204, description: 'Done.'), Refused]
    public function unlink(string $number, string $document, #[CurrentUser] Person $person, LinkDocument $action): Response
    {
        $action->unlink($person, $number, $document);

        return new Response(status: 204);
    }

    #[
        OA\Post(
            path: '/api/items/{number}/files',
            operationId: 'attachFile',
            tags: ['documents'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(
                    mediaType: 'multipart/form-data',
                    schema: new OA\Schema(
                        required: ['role', 'file'],
                        properties: [
                            new OA\Property(property: 'role', type: 'string', enum: ['sheet', 'data_sheet', 'picture', 'model']),
                            new OA\Property(property: 'file', type: 'string', format: 'binary'),
                        ],
                    ),
                ),
            ),
        ),
    ]
    #[InPath('number'), OA\Response(response: 204, description: 'Done.'), Refused]
    public function attach(string $number, Request $request, #[CurrentUser] Person $person, AttachFile $action): Response
    {
        $isModel = $request->input('role') === FileRole::Model->value;
        $request->validate(
            [
                'role' => ['required', Rule::enum(FileRole::class)],
                'file' => ['bail', 'required', 'file', 'max:' . ($isModel ? self::MODEL_KB : self::KB)],
            ],
            [
                'file.required' => 'Choose a file.',
                'file.max' => $isModel ? 'A model has at most 60 megabytes.' : 'A file has at most 32 megabytes.',
                'role.*' => 'Say what it is: the sheet, the model, a data sheet or a picture.',
            ],
        );
        $file = $request->file('file');
        if (!($file instanceof UploadedFile)) {
            throw Refusal::at('file', 'Choose a file.');
        }
        $action->attach(
            $person,
            $number,
            FileRole::from($request->string('role')->toString()),
            $file->getRealPath(),
            $file->getClientOriginalName(),
        );

        return new Response(status: 204);
    }

    #[OA\Delete(path: '/api/items/{number}/files/{id}', operationId: 'takeFileAway', tags: ['documents'])]
    #[InPath('number'), InPath('id'), OA\Response(response: 204, description: 'Done.'), Refused]
    public function takeAway(string $number, string $id, #[CurrentUser] Person $person, AttachFile $action): Response
    {
        $action->takeAway($person, $number, $id);

        return new Response(status: 204);
    }

    #[
        OA\Get(
            path: '/api/files/{id}/thumbnail',
            operationId: 'fileThumbnail',
            tags: ['documents'],
            responses: [new OA\Response(response: 200, description: 'PNG of its first page, 240 pixels wide')],
        ),
    ]
    #[InPath('id'), Refused]
    public function thumbnail(string $id): Response
    {
        $file = ItemFile::query()->findOrFail($id);

        return new Response(Thumbnail::of($file) ?? throw Refusal::at('file', "{$file->name} cannot be drawn."), 200, [
            'Content-Type' => 'image/png',
            'X-Content-Type-Options' => 'nosniff',
            'Cache-Control' => 'private, max-age=604800, immutable',
        ]);
    }

    #[
        OA\Get(
            path: '/api/files/{id}',
            operationId: 'fileContent',
            tags: ['documents'],
            responses: [new OA\Response(response: 200, description: 'The file as it was brought')],
        ),
    ]
    #[InPath('id'), Refused]
    public function content(string $id): Response
    {
        $file = ItemFile::query()->with('revision')->findOrFail($id);
        $draft = $file->revision_id === null ? 'DRAFT ' : '';

        return ShownFile::of($file->file_id, $file->media_type, $draft . $file->name, $file->sha256);
    }
}
