<?php

declare(strict_types=1);

namespace App\Structures\Http;

use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Structures\Data\ItemRow;
use App\Structures\Data\LineRow;
use App\Structures\Data\RevisionRow;
use App\Structures\Data\StructurePage;
use App\Structures\Data\StructureRow;
use App\Structures\Data\UsedInRow;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use App\Structures\Models\StructureLine;
use App\Structures\StructureReader;
use App\Structures\Today;
use App\Structures\WhereUsedReader;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\StructureKind;

final class StructureController
{
    #[OA\Get(path: '/api/items/{number}/structure', operationId: 'structure', tags: ['structures'])]
    #[InPath('number'), InQuery('kind'), InQuery('on'), InQuery('revision'), Ok(StructurePage::class), Refused]
    public function show(string $number, Request $request, StructureReader $reader): JsonResponse
    {
        $item = Item::query()->where('number', $number)->firstOrFail();
        $kind = self::kind($request);
        $day = Today::orAsked($request);
        $asked = $request->query('revision');
        $revisions = Revision::query()->with(['order', 'releasedBy'])->where('item_id', $item->id);
        $revision = is_string($asked) && $asked !== ''
            ? $revisions->where('code', $asked)->firstOrFail()
            : $revisions->tap(Revision::effectiveOn($day))->first();

        $structure = $reader->ofRevision($revision?->id, $kind)->on($day);
        $components = Item::rows()->whereIn('number', $structure->components())->get()->keyBy('number');
        $opening = StructureLine::query()->where('kind', $kind->value)
            ->whereIn('revision_id', Revision::query()->tap(Revision::effectiveOn($day))->whereIn('item_id', $components->pluck('id'))->select('id'))
            ->join('revisions', 'revisions.id', '=', 'structure_lines.revision_id')
            ->distinct()->pluck('revisions.item_id')->flip();

        $rows = [];
        foreach ($structure as $line) {
            $component = $components[$line->component];
            $rows[] = new StructureRow(LineRow::of($line), ItemRow::of($component), $opening->has($component->id));
        }

        return new JsonResponse(new StructurePage(
            $item->number, $kind->value, (string) $day, $revision === null ? null : RevisionRow::of($revision), $rows,
        ));
    }

    #[OA\Get(path: '/api/items/{number}/where-used', operationId: 'whereUsed', tags: ['structures'])]
    #[InPath('number'), InQuery('kind'), InQuery('on'), OkList(UsedInRow::class), Refused]
    public function whereUsed(string $number, Request $request, WhereUsedReader $reader): JsonResponse
    {
        $item = Item::query()->where('number', $number)->firstOrFail();

        return new JsonResponse($reader->rows($item, Today::orAsked($request), self::kind($request)));
    }

    private static function kind(Request $request): StructureKind
    {
        $asked = $request->query('kind', StructureKind::Engineering->value);

        return StructureKind::tryFrom(is_string($asked) ? $asked : '')
            ?? throw Refusal::at('kind', 'A structure is design, engineering or manufacturing.');
    }
}
