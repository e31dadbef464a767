<?php

declare(strict_types=1);

namespace App\Audit\Http;

use App\Audit\Data\LedgerPage;
use App\Audit\LedgerExport;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Seals\HouseSeal;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The ledger as a whole: searched, and taken out with what proves it. */
final class LedgerController
{
    #[OA\Get(path: '/api/ledger', operationId: 'ledger', tags: ['ledger'])]
    #[InQuery('about'), InQuery('actor'), InQuery('act'), InQuery('since'), InQuery('until'), InQuery('words'), InQuery('from')]
    #[Ok(LedgerPage::class), Refused]
    public function index(LedgerQuestion $question): JsonResponse
    {
        return new JsonResponse($question->search()->page($question->integer('from')));
    }

    #[
        OA\Get(
            path: '/api/ledger/export',
            operationId: 'exportLedger',
            tags: ['ledger'],
            responses: [new OA\Response(response: 200, description: 'Every record of the days asked for, signed: docs/formats.md')],
        ),
    ]
    #[InQuery('since'), InQuery('until'), Refused]
    public function export(LedgerQuestion $question, LedgerExport $export): StreamedResponse
    {
        [$from, $to] = $question->search()->span();

        return new StreamedResponse(
            static function () use ($export, $from, $to): void {
                foreach ($export->lines($from, $to) as $line) {
                    echo $line;
                }
            },
            200,
            [
                'Content-Type' => 'text/plain; charset=utf-8',
                'Content-Disposition' => "attachment; filename=\"ledger-{$from}-{$to}.txt\"",
                'Cache-Control' => 'no-store',
                // Handed on as it is read.
                'X-Accel-Buffering' => 'no',
            ],
        );
    }

    #[
        OA\Get(
            path: '/api/ledger/checker',
            operationId: 'ledgerChecker',
            tags: ['ledger'],
            responses: [new OA\Response(response: 200, description: 'A PHP script that checks an export')],
        ),
    ]
    #[Refused]
    public function checker(): BinaryFileResponse
    {
        return (new BinaryFileResponse(
            resource_path('check-ledger.php'),
            headers: ['Content-Type' => 'text/plain'],
        ))->setContentDisposition('attachment', 'check-ledger.php');
    }

    /** For whoever holds something that the house has signed; no account is needed. */
    public function key(HouseSeal $seal): Response
    {
        return new Response($seal->publicKey(), 200, [
            'Content-Type' => 'application/x-pem-file',
            'Content-Disposition' => 'attachment; filename="house-key.pem"',
        ]);
    }
}
