<?php

declare(strict_types=1);

namespace App\Reading;

use App\Http\Api\InPath;
use App\Http\Api\Refused;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ReadingController
{
    #[
        OA\Get(
            path: '/api/readings/{id}',
            operationId: 'reading',
            tags: ['files'],
            description: 'What came of a request that brought a file and was answered with 202: the answer to that request itself, as soon as there is one, with its status; until then 202 again. It is kept for a day.',
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The answer to the request that brought the file.',
                    content: new OA\JsonContent(type: 'object'),
                ),
                new OA\Response(response: 202, description: 'The file is still being read. Ask again after Retry-After seconds.'),
            ],
        ),
    ]
    #[InPath('id'), Refused]
    public function show(string $id, #[CurrentUser] Person $person): JsonResponse
    {
        // Whose it is not, for them it is not there.
        return self::answer(Reading::query()->where('person_id', $person->id)->findOrFail($id));
    }

    public static function answer(Reading $reading): JsonResponse
    {
        if ($reading->status !== null) {
            return new JsonResponse($reading->answer, $reading->status, json: true);
        }
        if ($reading->asked_at < CarbonImmutable::now()->subSeconds(ReadFile::SECONDS)) {
            return new JsonResponse(
                [
                    'message' => 'Nobody reads files at the moment. Tell the administrator that the workers may have stopped.',
                    'errors' => (object) [],
                ],
                503,
                ['Retry-After' => '60'],
            );
        }

        return new JsonResponse(['reading' => $reading->id], 202, ['Location' => "/api/readings/{$reading->id}", 'Retry-After' => '1']);
    }
}
