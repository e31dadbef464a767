<?php

declare(strict_types=1);

namespace App\ChangeNotices\Http;

use App\ChangeNotices\Actions\AcknowledgeNotice;
use App\ChangeNotices\Actions\IssueNotice;
use App\ChangeNotices\Actions\SendNotice;
use App\ChangeNotices\Data\IssuedNotice;
use App\ChangeNotices\Data\NoticeOfOrder;
use App\ChangeNotices\Models\ChangeNotice;
use App\ChangeNotices\NoticePaper;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;

/** The notice of a released order. */
final class ChangeNoticeController
{
    #[OA\Get(path: '/api/change-notices/{number}', operationId: 'changeNotice', tags: ['notices'])]
    #[InPath('number'), Ok(IssuedNotice::class), Refused]
    public function show(string $number, #[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse(
            IssuedNotice::of(
                ChangeNotice::query()
                    ->with(['issuer', 'order'])
                    ->where('number', $number)
                    ->firstOrFail(),
                $person,
            ),
        );
    }

    #[OA\Get(path: '/api/orders/{number}/notice', operationId: 'noticeOfOrder', tags: ['notices'])]
    #[InPath('number'), Ok(NoticeOfOrder::class), Refused]
    public function ofOrder(string $number): JsonResponse
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();

        return new JsonResponse(NoticeOfOrder::of($order, ChangeNotice::query()->with('copies')->where('order_id', $order->id)->first()));
    }

    #[
        OA\Get(
            path: '/api/change-notices/{number}/{format}',
            operationId: 'changeNoticeFile',
            tags: ['notices'],
            responses: [new OA\Response(response: 200, description: 'The notice as html, pdf or json')],
        ),
    ]
    #[InPath('number'), InPath('format'), Refused]
    public function file(string $number, string $format): Response
    {
        $notice = ChangeNotice::query()->where('number', $number)->firstOrFail();
        [$type, $content] = match ($format) {
            'json' => ['application/json', $notice->content],
            'html' => ['text/html; charset=utf-8', NoticePaper::html($notice)],
            default => ['application/pdf', NoticePaper::pdf($notice)],
        };

        return new Response(
            $content,
            headers: [
                'Content-Type' => $type,
                'Content-Disposition' => "attachment; filename=\"{$notice->number}.{$format}\"",
                'X-Content-Type-Options' => 'nosniff',
            ],
        );
    }

    #[OA\Post(path: '/api/orders/{number}/notice', operationId: 'issueChangeNotice', tags: ['notices'])]
    #[InPath('number'), Ok(Done::class), Refused]
    public function issue(string $number, #[CurrentUser] Person $person, IssueNotice $action): JsonResponse
    {
        $action->issue($person, $number);

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/change-notices/{number}/sending', operationId: 'sendChangeNotice', tags: ['notices'])]
    #[InPath('number'), Takes(NoticeSending::class), OA\Response(response: 204, description: 'Sent.'), Refused]
    public function send(string $number, NoticeSending $request, #[CurrentUser] Person $person, SendNotice $action): Response
    {
        $action->send($person, $number, $request->to(), $request->boolean('acknowledge'));

        return new Response(status: 204);
    }

    #[OA\Post(path: '/api/change-notices/{number}/receipt', operationId: 'openedChangeNotice', tags: ['notices'])]
    #[InPath('number'), OA\Response(response: 204, description: 'Noted, where it was sent to you.'), Refused]
    public function opened(string $number, #[CurrentUser] Person $person, AcknowledgeNotice $action): Response
    {
        $action->opened($person, $number);

        return new Response(status: 204);
    }

    #[OA\Post(path: '/api/change-notices/{number}/acknowledgement', operationId: 'acknowledgeChangeNotice', tags: ['notices'])]
    #[InPath('number'), Takes(NoticeSeen::class), OA\Response(response: 204, description: 'Acknowledged.'), Refused]
    public function acknowledge(string $number, NoticeSeen $request, #[CurrentUser] Person $person, AcknowledgeNotice $action): Response
    {
        $action->acknowledge($person, $number, $request->string('sha256')->toString());

        return new Response(status: 204);
    }
}
