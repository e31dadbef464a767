<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use App\Days\Today;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Refused;
use App\Manufacturing\Files\BuiltTable;
use App\Structures\Models\Item;
use App\Tables\TableFile;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;

/** What plants build, as a file. */
final class BuiltFileController
{
    #[
        OA\Get(
            path: '/api/items/{number}/built/{format}',
            operationId: 'builtFile',
            tags: ['manufacturing'],
            responses: [new OA\Response(response: 200, description: 'A file: csv, xlsx or json')],
        ),
    ]
    #[InPath('number'), InPath('format'), InQuery('plant'), InQuery('on'), InQuery('levels'), Refused]
    public function show(string $number, string $format, Request $request, BuiltTable $table): Response
    {
        $item = Item::query()->where('number', $number)->firstOrFail();
        $plant = AskedPlant::of($request) ?? '';
        $day = Today::orAsked($request);
        $all = $request->query('levels') !== 'one';
        $name = "{$item->number}-manufacturing" . ($plant === '' ? '' : "-{$plant}") . "-{$day}";
        if ($format !== 'json') {
            return TableFile::answer($table->of($item, $plant, $day, $all), $format, $name);
        }

        return new JsonResponse(
            [
                'format' => 'orthotaxis-manufacturing',
                'version' => 1,
                'on' => (string) $day,
                // A row says what it has to say.
                'rows' => array_map(
                    static fn(array $row): array => array_filter($row, static fn(string $cell): bool => $cell !== ''),
                    iterator_to_array($table->rows($item, $plant, $day, $all), preserve_keys: false),
                ),
            ],
            headers: ['Content-Disposition' => "attachment; filename=\"{$name}.json\""],
            options: JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }
}
