<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Stale;
use App\Ledger\Ledger;
use App\People\Data\SeparationPage;
use App\People\Events\DutiesSeparated;
use App\People\Models\Person;
use App\People\Models\SeparationOfDuties;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Duties that are kept apart. */
final readonly class SeparationController
{
    #[OA\Get(path: '/api/separation', operationId: 'separation', tags: ['people'])]
    #[Ok(SeparationPage::class), Refused]
    public function show(): JsonResponse
    {
        return new JsonResponse(SeparationPage::of(SeparationOfDuties::query()->firstOrFail()));
    }

    #[OA\Put(path: '/api/separation', operationId: 'setSeparation', tags: ['people'])]
    #[Takes(SeparationRule::class), Ok(SeparationPage::class), Refused]
    public function set(SeparationRule $request, #[CurrentUser] Person $person, Ledger $ledger): JsonResponse
    {
        $ledger->together(static function () use ($request, $person): void {
            $kept = SeparationOfDuties::query()->lockForUpdate()->firstOrFail();
            if ($kept->version !== $request->integer('version')) {
                throw new Stale('Somebody has changed it meanwhile.');
            }
            $kept->update(['pairs' => $request->pairs(), 'version' => $kept->version + 1]);
            event(new DutiesSeparated($person->login, $request->pairs()));
        });

        return $this->show();
    }
}
