<?php

declare(strict_types=1);

namespace App\Imports\Http;

use App\Days\Today;
use App\Files\StoredFile;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Done;
use App\Imports\Data\ImportData;
use App\Imports\Jobs\RunImport;
use App\Imports\Models\Import;
use App\Imports\Subject;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

final class ImportController
{
    private const SHOWN = 30;

    #[OA\Get(path: '/api/imports', operationId: 'imports', tags: ['imports'])]
    #[OkList(ImportData::class), Refused]
    public function index(): JsonResponse
    {
        return new JsonResponse(
            Import::query()->with('person')->orderByDesc('asked_at')->limit(self::SHOWN)->get()->map(ImportData::of(...)),
        );
    }

    #[OA\Get(path: '/api/imports/{id}', operationId: 'import', tags: ['imports'])]
    #[InPath('id'), Ok(ImportData::class), Refused]
    public function show(string $id): JsonResponse
    {
        return new JsonResponse(ImportData::of(Import::query()->with('person')->findOrFail($id)));
    }

    #[
        OA\Post(
            path: '/api/imports',
            operationId: 'startImport',
            tags: ['imports'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(
                    mediaType: 'multipart/form-data',
                    schema: new OA\Schema(
                        schema: 'ImportFile',
                        required: ['subject', 'file'],
                        properties: [
                            new OA\Property(property: 'subject', type: 'string', enum: Subject::class),
                            new OA\Property(
                                property: 'first_day',
                                type: 'string',
                                description: 'the first day on which what is released holds; today when left out',
                            ),
                            new OA\Property(property: 'file', type: 'string', format: 'binary'),
                        ],
                    ),
                ),
            ),
        ),
    ]
    #[Ok(Done::class), Refused]
    public function store(Request $request, #[CurrentUser] Person $person): JsonResponse
    {
        $request->validate(
            [
                'subject' => ['required', Rule::enum(Subject::class)],
                'first_day' => 'nullable|bail|string|date_format:Y-m-d',
                'file' => 'required|file|max:32768',
            ],
            [
                'file.required' => 'Choose a file.',
                'file.max' => 'A file has at most 32 megabytes.',
                'subject.*' => 'Say what the file brings: items, structures, a design model, or what plants build.',
                'first_day.*' => 'Write the day as year-month-day.',
            ],
        );
        $file = $request->file('file');
        if (!($file instanceof UploadedFile)) {
            throw Refusal::at('file', 'Choose a file.');
        }
        $import = DB::transaction(static function () use ($request, $file, $person): Import {
            $import = Import::query()->create([
                'subject' => $request->string('subject')->toString(),
                'file' => mb_substr($file->getClientOriginalName(), 0, 200),
                'file_id' => StoredFile::keep($file->getRealPath()),
                'sha256' => hash_file('sha256', $file->getRealPath()),
                'first_day' => $request->string('first_day')->toString() ?: (string) Today::day(),
                'state' => 'waiting',
                'person_id' => $person->id,
                'asked_at' => CarbonImmutable::now(),
            ]);
            RunImport::dispatch($import->id)->afterCommit();

            return $import;
        });

        // It goes on by itself; who follows it reads it by this number.
        return new JsonResponse(new Done($import->id, 1));
    }

    #[OA\Delete(path: '/api/imports/{id}', operationId: 'cancelImport', tags: ['imports'])]
    #[InPath('id'), OA\Response(response: 204, description: 'Done.'), Refused]
    public function cancel(string $id): Response
    {
        if (
            Import::query()
                ->where('id', $id)
                ->whereIn('state', ['waiting', 'checking'])
                ->update(['state' => 'cancelled', 'ended_at' => CarbonImmutable::now()]) === 0
        ) {
            throw Refusal::at('import', 'Too late to cancel: it has ended or is being imported.');
        }

        return new Response(status: 204);
    }

    #[
        OA\Get(
            path: '/api/imports/{id}/marked',
            operationId: 'markedImport',
            tags: ['imports'],
            responses: [new OA\Response(response: 200, description: 'The file as XLSX, bad cells marked')],
        ),
    ]
    #[InPath('id'), Refused]
    public function marked(string $id): Response
    {
        $import = Import::query()->findOrFail($id);
        if ($import->marked_id === null) {
            throw Refusal::at('import', 'It has no marked errors.');
        }

        return new Response(
            (string) stream_get_contents(DB::table('stored_files')->where('id', $import->marked_id)->value('content')),
            200,
            [
                'Content-Type' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
                'Content-Disposition' => 'attachment; filename=marked.xlsx',
            ],
        );
    }
}
