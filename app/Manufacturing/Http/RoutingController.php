<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use App\Days\Today;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Manufacturing\BuiltCostReader;
use App\Manufacturing\Data\BuiltCostPage;
use App\Manufacturing\Data\OperationUses;
use App\Manufacturing\Data\RoutingComparisonPage;
use App\Manufacturing\Data\RoutingPage;
use App\Manufacturing\Models\WorkCentre;
use App\Manufacturing\OperationUseReader;
use App\Manufacturing\RoutingCompareReader;
use App\Manufacturing\RoutingReader;
use App\Structures\Compare\SideSpec;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Structure\StructureKind;

/** How plants make items. */
final class RoutingController
{
    #[OA\Get(path: '/api/items/{number}/routing', operationId: 'routing', tags: ['manufacturing'])]
    #[InPath('number'), InQuery('plant'), InQuery('on'), Ok(RoutingPage::class), Refused]
    public function routing(string $number, Request $request, RoutingReader $reader): JsonResponse
    {
        $item = Item::query()->with('everReleased')->where('number', $number)->firstOrFail();

        return new JsonResponse($reader->read($item, AskedPlant::of($request), Today::orAsked($request)));
    }

    #[OA\Get(path: '/api/items/{number}/built-cost', operationId: 'builtCost', tags: ['manufacturing'])]
    #[InPath('number'), InQuery('plant'), InQuery('on'), Ok(BuiltCostPage::class), Refused]
    public function cost(string $number, Request $request, BuiltCostReader $costs): JsonResponse
    {
        $item = Item::query()->where('number', $number)->firstOrFail();
        $view = new StructureView(StructureKind::Manufacturing, AskedPlant::of($request) ?? '');

        return new JsonResponse($costs->read($item, $view, Today::orAsked($request)));
    }

    #[OA\Get(path: '/api/routing-comparison', operationId: 'routingComparison', tags: ['manufacturing'])]
    #[InQuery('left'), InQuery('right'), InQuery('left_plant'), InQuery('right_plant'), InQuery('left_on'), InQuery('right_on')]
    #[InQuery('left_kind'), InQuery('right_kind'), InQuery('left_revision'), InQuery('right_revision')]
    #[InQuery('left_order'), InQuery('right_order'), Ok(RoutingComparisonPage::class), Refused]
    public function compareRoutings(Request $request, RoutingCompareReader $routings): JsonResponse
    {
        return new JsonResponse($routings->compare(SideSpec::of($request, 'left'), SideSpec::of($request, 'right')));
    }

    #[OA\Get(path: '/api/items/{number}/operations', operationId: 'operationsOfItem', tags: ['manufacturing'])]
    #[InPath('number'), InQuery('on'), Ok(OperationUses::class), Refused]
    public function usesOfItem(string $number, Request $request, OperationUseReader $uses): JsonResponse
    {
        return new JsonResponse($uses->ofItem(Item::query()->where('number', $number)->firstOrFail(), Today::orAsked($request)));
    }

    #[OA\Get(path: '/api/plants/{code}/work-centres/{centre}/operations', operationId: 'operationsOfWorkCentre', tags: ['manufacturing'])]
    #[InPath('code'), InPath('centre'), InQuery('on'), Ok(OperationUses::class), Refused]
    public function usesOfWorkCentre(string $code, string $centre, Request $request, OperationUseReader $uses): JsonResponse
    {
        $known = WorkCentre::query()
            ->where(['plant' => $code, 'code' => $centre])
            ->firstOrFail();

        return new JsonResponse($uses->ofWorkCentre($known->plant, $known->code, Today::orAsked($request)));
    }
}
