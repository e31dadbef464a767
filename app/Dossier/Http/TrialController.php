<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use App\Dossier\RequestPaths\RequestContent;
use App\Dossier\RequestPaths\RequestFacts;
use App\Dossier\RequestPaths\RequestOnPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\Paths\FactsOfOrder;
use App\Orders\Paths\OrderOnPath;
use App\Paths\Data\PathTrialPage;
use App\Paths\Http\PathTrialRequest;
use App\Paths\PathSteps;
use App\Paths\PathTrial;
use App\Requests\Models\ChangeRequest;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

/** How a path would run on an order or a request. */
final readonly class TrialController
{
    public function __construct(
        private OrderReader $orders,
        private FactsOfOrder $factsOfOrder,
        private RequestFacts $factsOfRequest,
        private RequestContent $content,
    ) {}

    #[OA\Post(path: '/api/approval-paths/trial', operationId: 'tryPath', tags: ['approvals'])]
    #[Takes(PathTrialRequest::class), Ok(PathTrialPage::class), Refused]
    public function __invoke(PathTrialRequest $request): JsonResponse
    {
        $path = PathSteps::read($request->steps(), $request->tasks());
        $number = $request->string('change')->toString();
        $order = ChangeOrder::orders()->where('number', $number)->first();
        if ($order !== null) {
            $core = $this->orders->toCore($order);
            $facts = $order->facts !== [] ? $order->facts : $this->factsOfOrder->of($order, $core);

            return new JsonResponse(PathTrial::of($path, new OrderOnPath($order, $core->proposers()), $order->title, $facts));
        }
        $asked = ChangeRequest::query()->where('number', $number)->first() ?? throw Refusal::at('change', 'There is no such change.');
        $facts = $asked->facts !== [] ? $asked->facts : $this->factsOfRequest->of($asked);

        return new JsonResponse(PathTrial::of($path, new RequestOnPath($asked, $this->content->digest($asked)), $asked->title, $facts));
    }
}
