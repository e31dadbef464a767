<?php

declare(strict_types=1);

namespace App\Problems\Http;

use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Http\Version;
use App\People\Models\Person;
use App\Problems\Actions\RaiseReport;
use App\Problems\Actions\SettleReport;
use App\Problems\Data\FoundReports;
use App\Problems\Data\ReportPage;
use App\Problems\Data\ReportRow;
use App\Problems\Models\ProblemReport;
use App\Problems\ReportList;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Report\ReportState;

/** Problem reports. Every act on one answers with its page as it is then. */
final readonly class ReportController
{
    /** Rows that a page has where nobody says. */
    private const PAGE = 100;

    public function __construct(private ReportList $list, private SettleReport $settle) {}

    #[OA\Get(path: '/api/reports', operationId: 'reports', tags: ['reports'])]
    #[
        InQuery('show'),
        InQuery('words'),
        InQuery('source'),
        InQuery('site'),
        InQuery('severity'),
        InQuery('item'),
        InQuery('sort'),
        InQuery('from'),
        InQuery('most'),
        Ok(FoundReports::class),
        Refused,
    ]
    public function index(Request $request): JsonResponse
    {
        $request->validate([
            'from' => 'nullable|integer|between:0,100000000',
            'most' => 'nullable|integer|between:1,' . ReportList::MOST,
            'sort' => 'nullable|string|max:20',
        ]);
        /** @var array<string, string> $asked */
        $asked = array_filter(
            $request->validate(
                array_fill_keys(['words', 'source', 'site', 'severity', 'item'], 'nullable|string|max:200') + [
                    'show' => 'nullable|in:open,settled,all',
                ],
            ),
        );

        return new JsonResponse(
            $this->list->page(
                $asked,
                $request->integer('from'),
                $request->integer('most', self::PAGE),
                $request->string('sort')->toString(),
            ),
        );
    }

    #[OA\Get(path: '/api/reports-like', operationId: 'reportsLike', tags: ['reports'])]
    #[InQuery('title'), InQuery('description'), InQuery('items'), InQuery('except'), OkList(ReportRow::class), Refused]
    public function like(Request $request): JsonResponse
    {
        $request->validate(array_fill_keys(['title', 'description', 'items', 'except'], 'nullable|string|max:10000'));

        return new JsonResponse(
            $this->list->like(
                $request->string('title')->toString(),
                $request->string('description')->toString(),
                array_values(array_filter(explode(',', $request->string('items')->toString()))),
                $request->string('except')->toString(),
            ),
        );
    }

    #[OA\Get(path: '/api/reports/{number}', operationId: 'report', tags: ['reports'])]
    #[InPath('number'), Ok(ReportPage::class), Refused]
    public function show(string $number): JsonResponse
    {
        return new JsonResponse(ReportPage::of($number));
    }

    #[OA\Post(path: '/api/reports', operationId: 'raiseReport', tags: ['reports'])]
    #[Takes(NewReport::class), Ok(Done::class), Refused]
    public function store(NewReport $request, #[CurrentUser] Person $person, RaiseReport $action): JsonResponse
    {
        return self::done($action($person, $request->fields(), $request->items())->number);
    }

    #[OA\Post(path: '/api/reports/{number}/answer', operationId: 'answerReport', tags: ['reports'])]
    #[InPath('number'), Takes(Word::class), Ok(Done::class), Refused]
    public function answer(string $number, Word $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->settle->say($person, $number, ReportState::Answered, $request->text(), $request->integer('version'));

        return self::done($number);
    }

    #[OA\Post(path: '/api/reports/{number}/return', operationId: 'returnReport', tags: ['reports'])]
    #[InPath('number'), Takes(Word::class), Ok(Done::class), Refused]
    public function sendBack(string $number, Word $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->settle->say($person, $number, ReportState::Returned, $request->text(), $request->integer('version'));

        return self::done($number);
    }

    #[OA\Post(path: '/api/reports/{number}/reply', operationId: 'replyToReport', tags: ['reports'])]
    #[InPath('number'), Takes(Word::class), Ok(Done::class), Refused]
    public function reply(string $number, Word $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->settle->reply($person, $number, $request->text(), $request->integer('version'));

        return self::done($number);
    }

    #[OA\Post(path: '/api/reports/{number}/duplicate', operationId: 'markReportDuplicate', tags: ['reports'])]
    #[InPath('number'), Takes(SameAs::class), Ok(Done::class), Refused]
    public function duplicate(string $number, SameAs $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->settle->duplicate($person, $number, $request->string('of')->toString(), $request->integer('version'));

        return self::done($number);
    }

    #[OA\Post(path: '/api/reports/{number}/reopening', operationId: 'reopenReport', tags: ['reports'])]
    #[InPath('number'), Takes(Version::class), Ok(Done::class), Refused]
    public function reopen(string $number, Version $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->settle->reopen($person, $number, $request->integer('version'));

        return self::done($number);
    }

    private static function done(string $number): JsonResponse
    {
        return new JsonResponse(ProblemReport::done($number));
    }
}
