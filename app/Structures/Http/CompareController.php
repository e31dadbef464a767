<?php

declare(strict_types=1);

namespace App\Structures\Http;

use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\People\Models\Person;
use App\Structures\Actions\BringComparisonFile;
use App\Structures\Compare\CompareReader;
use App\Structures\Compare\SideSpec;
use App\Structures\Data\BroughtFile;
use App\Structures\Data\ComparisonPage;
use App\Structures\Export\ComparisonTable;
use App\Tables\TableFile;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Refusal;
use Symfony\Component\HttpFoundation\Response;

final class CompareController
{
    /** Rows a file may have. */
    private const IN_A_FILE = 100_000;

    #[OA\Get(path: '/api/comparison', operationId: 'comparison', tags: ['structures'])]
    #[
        InQuery('left'),
        InQuery('left_kind'),
        InQuery('left_plant'),
        InQuery('left_on'),
        InQuery('left_revision'),
        InQuery('left_order'),
        InQuery('left_iteration'),
        InQuery('left_file'),
    ]
    #[
        InQuery('right'),
        InQuery('right_kind'),
        InQuery('right_plant'),
        InQuery('right_on'),
        InQuery('right_revision'),
        InQuery('right_order'),
        InQuery('right_iteration'),
        InQuery('right_file'),
    ]
    #[InQuery('levels'), InQuery('kinds'), Ok(ComparisonPage::class), Refused]
    public function show(Request $request, CompareReader $reader): JsonResponse
    {
        return new JsonResponse(self::compare($request, $reader, CompareReader::AT_MOST));
    }

    #[
        OA\Get(
            path: '/api/comparison/{format}',
            operationId: 'comparisonFile',
            tags: ['structures'],
            responses: [new OA\Response(response: 200, description: 'A file: csv, xlsx or pdf')],
        ),
    ]
    #[OA\PathParameter(name: 'format', schema: new OA\Schema(type: 'string', enum: ['csv', 'xlsx', 'pdf'])), Refused]
    public function file(string $format, Request $request, CompareReader $reader): Response
    {
        $page = self::compare($request, $reader, self::IN_A_FILE);

        return TableFile::answer(ComparisonTable::of($page), $format, "comparison-{$page->left->number}-{$page->right->number}");
    }

    #[
        OA\Post(
            path: '/api/comparison-files',
            operationId: 'bringComparisonFile',
            tags: ['structures'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(
                    mediaType: 'multipart/form-data',
                    schema: new OA\Schema(
                        required: ['file'],
                        properties: [new OA\Property(property: 'file', type: 'string', format: 'binary')],
                    ),
                ),
            ),
        ),
    ]
    #[Ok(BroughtFile::class), Refused]
    public function bring(Request $request, #[CurrentUser] Person $person, BringComparisonFile $action): JsonResponse
    {
        $request->validate(
            ['file' => 'required|file|max:20480'],
            ['file.required' => 'Choose a file.', 'file.max' => 'A file to compare has at most 20 megabytes.'],
        );
        $file = $request->file('file');
        if (!($file instanceof UploadedFile)) {
            throw Refusal::at('file', 'Choose a file.');
        }
        $kept = $action($person, $file->getRealPath(), $file->getClientOriginalName());

        return new JsonResponse(new BroughtFile($kept->id, $kept->name, array_map(strval(...), array_keys($kept->lines))));
    }

    private static function compare(Request $request, CompareReader $reader, int $atMost): ComparisonPage
    {
        $kinds = array_map(
            static fn(string $kind): DifferenceKind => DifferenceKind::tryFrom($kind) ??
                throw Refusal::at('kinds', "{$kind} is no kind of difference."),
            array_filter(explode(',', $request->string('kinds')->toString())),
        );

        return $reader->read(
            SideSpec::of($request, 'left'),
            SideSpec::of($request, 'right'),
            $request->query('levels') !== 'one',
            array_values($kinds),
            $atMost,
        );
    }
}
