<?php

declare(strict_types=1);

namespace App\Structures\Http;

use App\Days\Today;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Refused;
use App\Structures\Export\PartsList;
use App\Structures\Export\StructureTable;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use App\Tables\TableFile;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Structure\FileColumn;
use Symfony\Component\HttpFoundation\Response;

final class StructureFileController
{
    #[
        OA\Get(
            path: '/api/items/{number}/structure/{format}',
            operationId: 'structureFile',
            tags: ['structures'],
            responses: [new OA\Response(response: 200, description: 'A file: csv, xlsx, pdf or json')],
        ),
    ]
    #[InPath('number'), InPath('format'), InQuery('kind'), InQuery('plant'), InQuery('on'), InQuery('levels'), Refused]
    public function show(string $number, string $format, Request $request, StructureTable $table, PartsList $parts): Response
    {
        $item = Item::query()->where('number', $number)->firstOrFail();
        $view = StructureView::asked($request);
        $day = Today::orAsked($request);
        $all = $request->query('levels') !== 'one';
        $name = "{$item->number}-{$view->name()}-{$day}";
        if ($format !== 'json') {
            return TableFile::answer(
                $format === 'pdf' ? $parts->of($item, $view, $day, $all) : $table->of($item, $view, $day, $all),
                $format,
                $name,
            );
        }
        $structures = [];
        foreach ($table->parents($item, $view, $day, $all) as $parent) {
            $lines = [];
            foreach ($parent->structure as $line) {
                $fields = [];
                foreach (FileColumn::ofOneParent() as $column) {
                    if ($column !== FileColumn::Parent) {
                        $fields[$column->value] = StructureTable::value($parent->number, $parent->revision, $line, $column);
                    }
                }
                $lines[] = $fields;
            }
            $structures[] = ['parent' => $parent->number] +
                ($parent->revision === null ? [] : ['revision' => $parent->revision]) + ['lines' => $lines];
        }

        return new JsonResponse(
            [
                'format' => 'orthotaxis-structure',
                'version' => 1,
                'kind' => $view->kind->value,
                'plant' => $view->plant,
                'on' => (string) $day,
                'structures' => $structures,
            ],
            headers: ['Content-Disposition' => "attachment; filename=\"{$name}.json\""],
            options: JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }
}
