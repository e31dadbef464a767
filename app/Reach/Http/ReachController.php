<?php

declare(strict_types=1);

namespace App\Reach\Http;

use App\Days\Today;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use App\Reach\Actions\DecideReach;
use App\Reach\Data\ReachGraph;
use App\Reach\Data\ReachPage;
use App\Reach\ReachReader;
use App\Requests\Models\ChangeRequest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Impact\ReachReason;

/** All that a request would touch. */
final readonly class ReachController
{
    public function __construct(private ReachReader $reader) {}

    #[OA\Get(path: '/api/requests/{number}/reach', operationId: 'reach', tags: ['changes'])]
    #[InPath('number'), InQuery('reason'), InQuery('decided'), InQuery('on'), InQuery('from'), Ok(ReachPage::class), Refused]
    public function show(string $number, Request $request): JsonResponse
    {
        $request->validate([
            'reason' => ['nullable', Rule::enum(ReachReason::class)],
            'on' => 'nullable|bail|string|date_format:Y-m-d',
            'from' => 'nullable|integer|min:0',
            'decided' => 'nullable|boolean',
        ]);

        return new JsonResponse(
            $this->reader->page(
                self::of($number),
                self::day($request),
                $request->string('reason')->toString(),
                $request->integer('from'),
                $request->boolean('decided'),
            ),
        );
    }

    #[OA\Get(path: '/api/requests/{number}/reach-picture', operationId: 'reachPicture', tags: ['changes'])]
    #[InPath('number'), InQuery('on'), Ok(ReachGraph::class), Refused]
    public function picture(string $number, Request $request): JsonResponse
    {
        $request->validate(['on' => 'nullable|bail|string|date_format:Y-m-d']);

        return new JsonResponse($this->reader->picture(self::of($number), self::day($request)));
    }

    #[OA\Post(path: '/api/requests/{number}/reach', operationId: 'decideReach', tags: ['changes'])]
    #[InPath('number'), Takes(NewReachDecision::class), Ok(Done::class), Refused]
    public function decide(string $number, NewReachDecision $request, #[CurrentUser] Person $person, DecideReach $action): JsonResponse
    {
        $action(
            $person,
            $number,
            $request->subjects(),
            $request->input('taken') === null ? null : $request->boolean('taken'),
            $request->string('reason')->toString(),
            $request->seen(),
        );

        return new JsonResponse(ChangeRequest::done($number));
    }

    private static function of(string $number): ChangeRequest
    {
        return ChangeRequest::query()
            ->with(['items', 'orders', 'gathered', 'reports'])
            ->where('number', $number)
            ->firstOrFail();
    }

    private static function day(Request $request): Day
    {
        $on = $request->string('on')->toString();

        return $on === '' ? Today::day() : Day::parse($on);
    }
}
