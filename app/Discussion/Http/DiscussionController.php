<?php

declare(strict_types=1);

namespace App\Discussion\Http;

use App\Discussion\Actions\Discuss;
use App\Discussion\Data\CommentRow;
use App\Discussion\Models\Comment;
use App\Discussion\Subjects;
use App\Http\Api\InPath;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

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
        $action->say($person, $number, $request->string('text')->trim()->toString());

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

    /** The first at the top, all of them. */
    private static function rows(string $subject): JsonResponse
    {
        return new JsonResponse(
            Comment::query()
                ->with(['person', 'pinnedBy'])
                ->where('subject', $subject)
                ->orderBy('id')
                ->get()
                ->map(CommentRow::of(...)),
        );
    }
}
