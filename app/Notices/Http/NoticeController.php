<?php

declare(strict_types=1);

namespace App\Notices\Http;

use App\Discussion\Subjects;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Notices\Data\NoticeCount;
use App\Notices\Data\NoticePage;
use App\Notices\Data\PaceRow;
use App\Notices\Data\SinceLooked;
use App\Notices\Data\Watch;
use App\Notices\Looks;
use App\Notices\NoticeList;
use App\Notices\Paces;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Notice\Cause;
use Orthotaxis\Core\Notice\Pace;

/** What everybody was told of, what they watch, and how soon they want to know. All of it is their own. */
final class NoticeController
{
    #[OA\Get(path: '/api/notices', operationId: 'notices', tags: ['notices'])]
    #[InQuery('unread'), InQuery('change'), InQuery('from'), Ok(NoticePage::class), Refused]
    public function index(Request $request, #[CurrentUser] Person $person, NoticeList $list): JsonResponse
    {
        $from = $request->string('from')->toString();

        return new JsonResponse(
            $list->read(
                $person,
                unread: $request->boolean('unread'),
                change: $request->string('change')->toString(),
                from: preg_match('/^\d{1,9}$/D', $from) === 1 ? (int) $from : 0,
            ),
        );
    }

    #[OA\Get(path: '/api/notices/unread', operationId: 'unreadNotices', tags: ['notices'])]
    #[Ok(NoticeCount::class), Refused]
    public function unread(#[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse(new NoticeCount(NoticeList::unread($person)));
    }

    #[OA\Post(path: '/api/notices/read', operationId: 'readNotices', tags: ['notices'])]
    #[Takes(ReadMark::class), Ok(NoticeCount::class), Refused]
    public function mark(ReadMark $request, #[CurrentUser] Person $person): JsonResponse
    {
        DB::table('notice_readers')
            ->where('person_id', $person->id)
            ->when(
                $request->has('up_to'),
                static fn($some) => $some->where('notice_id', '<=', $request->integer('up_to')),
                static fn($some) => $some->whereIn('notice_id', (array) $request->validated('ids')),
            )
            ->whereNull('read_at', not: !$request->boolean('read'))
            ->update(['read_at' => $request->boolean('read') ? CarbonImmutable::now() : null]);

        return $this->unread($person);
    }

    #[OA\Get(path: '/api/notices/paces', operationId: 'noticePaces', tags: ['notices'])]
    #[OkList(PaceRow::class), Refused]
    public function paces(#[CurrentUser] Person $person): JsonResponse
    {
        $said = Paces::of([$person->id])[$person->id] ?? [];

        return new JsonResponse(
            array_map(
                static fn(Cause $cause): PaceRow => new PaceRow($cause->value, ($said[$cause->value] ?? Pace::usual($cause))->value),
                Cause::cases(),
            ),
        );
    }

    #[OA\Put(path: '/api/notices/paces', operationId: 'setNoticePace', tags: ['notices'])]
    #[Takes(PaceChoice::class), OkList(PaceRow::class), Refused]
    public function setPace(PaceChoice $request, #[CurrentUser] Person $person): JsonResponse
    {
        DB::table('notice_paces')->upsert(
            ['person_id' => $person->id, 'cause' => $request->string('cause'), 'pace' => $request->string('pace')],
            ['person_id', 'cause'],
            ['pace'],
        );

        return $this->paces($person);
    }

    #[OA\Post(path: '/api/changes/{number}/look', operationId: 'lookAtChange', tags: ['notices'])]
    #[InPath('number'), Ok(SinceLooked::class), Refused]
    public function look(string $number, #[CurrentUser] Person $person, Looks $looks): JsonResponse
    {
        return new JsonResponse($looks->look($person, $number));
    }

    #[OA\Get(path: '/api/changes/{number}/watch', operationId: 'watch', tags: ['notices'])]
    #[InPath('number'), Ok(Watch::class), Refused]
    public function watch(string $number, #[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse(new Watch(DB::table('watches')->where('person_id', $person->id)->where('change', $number)->exists()));
    }

    #[OA\Put(path: '/api/changes/{number}/watch', operationId: 'startWatching', tags: ['notices'])]
    #[InPath('number'), Ok(Watch::class), Refused]
    public function start(string $number, #[CurrentUser] Person $person): JsonResponse
    {
        Subjects::get($number);
        DB::table('watches')->insertOrIgnore(['person_id' => $person->id, 'change' => $number]);

        return new JsonResponse(new Watch(true));
    }

    #[OA\Delete(path: '/api/changes/{number}/watch', operationId: 'stopWatching', tags: ['notices'])]
    #[InPath('number'), Ok(Watch::class), Refused]
    public function stop(string $number, #[CurrentUser] Person $person): JsonResponse
    {
        DB::table('watches')->where('person_id', $person->id)->where('change', $number)->delete();

        return new JsonResponse(new Watch(false));
    }
}
