<?php

declare(strict_types=1);

namespace App\Packages\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Models\ChangeOrder;
use App\Packages\Actions\AskPackage;
use App\Packages\Data\PackageList;
use App\Packages\Data\PackageRow;
use App\Packages\Models\PackageState;
use App\Packages\Models\ReleasePackage;
use App\People\Models\Person;
use App\Sheets\SheetWords;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** All that an order released, in one file. */
final class PackageController
{
    /** Bytes of a package that are read from the database at once. */
    private const PIECE = 1_000_000;

    #[OA\Get(path: '/api/orders/{number}/packages', operationId: 'packages', tags: ['releases'])]
    #[InPath('number'), Ok(PackageList::class), Refused]
    public function index(string $number): JsonResponse
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        $some = ReleasePackage::query()
            ->with(['order', 'asker'])
            ->where('order_id', $order->id)
            ->orderByDesc('id')
            ->limit(20)
            ->get();

        return new JsonResponse(
            new PackageList(
                array_values($some->map(static fn(ReleasePackage $one): PackageRow => PackageRow::of($one))->all()),
                SheetWords::languages(),
            ),
        );
    }

    #[OA\Post(path: '/api/orders/{number}/packages', operationId: 'makePackage', tags: ['releases'])]
    #[InPath('number'), Takes(NewPackage::class), Ok(Done::class), Refused]
    public function make(string $number, NewPackage $request, #[CurrentUser] Person $person, AskPackage $action): JsonResponse
    {
        $action($person, $number, $request->string('language')->toString());

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Delete(path: '/api/orders/{number}/packages/{id}', operationId: 'cancelPackage', tags: ['releases'])]
    #[InPath('number'), InPath('id'), Ok(Done::class), Refused]
    public function cancel(string $number, string $id): JsonResponse
    {
        self::of($number, $id)
            ->whereIn('state', [PackageState::Waiting, PackageState::Making])
            ->update(['state' => PackageState::Cancelled, 'ended_at' => CarbonImmutable::now()]);

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[
        OA\Get(
            path: '/api/orders/{number}/packages/{id}/file',
            operationId: 'packageFile',
            tags: ['releases'],
            responses: [new OA\Response(response: 200, description: 'ZIP: docs/formats.md')],
        ),
    ]
    #[InPath('number'), InPath('id'), Refused]
    public function file(string $number, string $id): StreamedResponse
    {
        $package = self::of($number, $id)->with('order')->where('state', PackageState::Done)->firstOrFail();

        return new StreamedResponse(
            static function () use ($package): void {
                for ($from = 1; $from <= $package->bytes; $from += self::PIECE) {
                    $piece = DB::scalar('SELECT encode(substring(content FROM ? FOR ?), \'base64\') FROM stored_files WHERE id = ?', [
                        $from,
                        self::PIECE,
                        $package->file_id,
                    ]);
                    echo base64_decode(is_string($piece) ? $piece : '', true);
                }
            },
            200,
            [
                'Content-Type' => 'application/zip',
                'Content-Length' => (string) $package->bytes,
                'Content-Disposition' => "attachment; filename=\"{$package->name()}\"",
                'X-Content-Type-Options' => 'nosniff',
                'Cache-Control' => 'private, no-store',
                'X-Accel-Buffering' => 'no',
            ],
        );
    }

    /** @return Builder<ReleasePackage> */
    private static function of(string $number, string $id): Builder
    {
        return ReleasePackage::query()->where('id', (int) $id)->whereRelation('order', 'number', $number);
    }
}
