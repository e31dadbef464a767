<?php

declare(strict_types=1);

namespace App\Releases\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Done;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Releases\Actions\SendHandoverAgain;
use App\Releases\Models\Handover;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Handover\Format;

final class HandoverController
{
    #[OA\Post(path: '/api/handovers/{name}/delivery', operationId: 'sendHandoverAgain', tags: ['releases'])]
    #[InPath('name'), Ok(Done::class), Refused]
    public function send(string $name, #[CurrentUser] Person $person, SendHandoverAgain $action): JsonResponse
    {
        $order = $action->send($person, $name);

        return new JsonResponse($order === null ? new Done($name, 0) : ChangeOrder::done($order));
    }

    #[OA\Get(path: '/api/handovers/{name}/files/{format}', operationId: 'handoverFile', tags: ['releases'])]
    #[InPath('name'), InPath('format'), OA\Response(response: 200, description: 'The file as it was sent.'), Refused]
    public function file(string $name, string $format): Response
    {
        $asked = Format::tryFrom($format) ?? abort(404);
        $file = Handover::query()->where('name', $name)->firstOrFail()->files()->where('format', $asked->value)->firstOrFail();

        return new Response($file->content, 200, [
            'Content-Type' => $asked->mediaType() . '; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$name}.{$format}\"",
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }
}
