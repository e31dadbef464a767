<?php

declare(strict_types=1);

namespace App\Discussion\Http;

use App\Attachments\Said\SaidFile;
use App\Discussion\Actions\Discuss;
use App\Discussion\Data\CommentRow;
use App\Discussion\Models\Comment;
use App\Discussion\SaidOfLine;
use App\Discussion\Subjects;
use App\Files\ShownFile;
use App\Http\Api\InPath;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;

/** What people say on reports, requests, orders and items. */
final class DiscussionController
{
    #[OA\Get(path: '/api/discussions/{number}', operationId: 'discussion', tags: ['discussion'])]
    #[InPath('number'), OkList(CommentRow::class), Refused]
    public function index(string $number): JsonResponse
    {
        Subjects::get($number);

        return self::rows($number);
    }

    #[OA\Post(path: '/api/discussions/{number}', operationId: 'say', tags: ['discussion'])]
    #[InPath('number'), Takes(NewComment::class), OkList(CommentRow::class), Refused]
    public function say(string $number, NewComment $request, #[CurrentUser] Person $person, Discuss $action): JsonResponse
    {
        $action->say(
            $person,
            $number,
            $request->string('text')->trim()->toString(),
            $request->broughtFiles(),
            $request->filled('line')
                ? new SaidOfLine(
                    $request->string('item')->toString(),
                    $request->string('work')->toString(),
                    $request->string('line')->toString(),
                )
                : null,
        );

        return self::rows($number);
    }

    #[OA\Put(path: '/api/comments/{id}/pin', operationId: 'pinComment', tags: ['discussion'])]
    #[InPath('id'), OkList(CommentRow::class), Refused]
    public function pin(int $id, #[CurrentUser] Person $person, Discuss $action): JsonResponse
    {
        return self::rows($action->pin($person, $id, true)->subject);
    }

    #[OA\Delete(path: '/api/comments/{id}/pin', operationId: 'unpinComment', tags: ['discussion'])]
    #[InPath('id'), OkList(CommentRow::class), Refused]
    public function unpin(int $id, #[CurrentUser] Person $person, Discuss $action): JsonResponse
    {
        return self::rows($action->pin($person, $id, false)->subject);
    }

    #[
        OA\Get(
            path: '/api/said-files/{id}',
            operationId: 'saidFileContent',
            tags: ['discussion'],
            responses: [new OA\Response(response: 200, description: 'The file as it was brought')],
        ),
    ]
    #[InPath('id'), Refused]
    public function file(string $id): Response
    {
        $file = SaidFile::query()->findOrFail($id);

        return ShownFile::of($file->file_id, $file->media_type, $file->name, $file->sha256);
    }

    /** The first at the top, all of them. */
    private static function rows(string $subject): JsonResponse
    {
        return new JsonResponse(
            Comment::query()
                ->with(['person', 'pinnedBy', 'files'])
                ->where('subject', $subject)
                ->orderBy('id')
                ->get()
                ->map(CommentRow::of(...)),
        );
    }
}
