<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use App\Dossier\ChangeSearch;
use App\Dossier\Data\Dossier;
use App\Dossier\Data\FoundChanges;
use App\Dossier\Data\RelationPage;
use App\Dossier\DossierReader;
use App\Dossier\NeededFrom;
use App\Dossier\Relations\RelationReader;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\People\Models\Person;
use App\Vocabulary\Priority;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\WorkStep;

/** The Register and the Dossier. */
final class ChangeController
{
    /** Rows that a page has where nobody says. */
    private const PAGE = 100;

    #[OA\Get(path: '/api/relations/{number}', operationId: 'relations', tags: ['changes'])]
    #[InPath('number'), Ok(RelationPage::class), Refused]
    public function relations(string $number, RelationReader $reader): JsonResponse
    {
        return new JsonResponse($reader->of($number));
    }

    #[OA\Get(path: '/api/changes', operationId: 'changes', tags: ['changes'])]
    #[
        InQuery('show'),
        InQuery('words'),
        InQuery('priority'),
        InQuery('type'),
        InQuery('step'),
        InQuery('mine'),
        InQuery('person'),
        InQuery('waits_for'),
        InQuery('item'),
        InQuery('since'),
        InQuery('until'),
    ]
    #[InQuery('sort'), InQuery('from'), InQuery('most'), Ok(FoundChanges::class), Refused]
    public function index(Request $request, #[CurrentUser] Person $person, ChangeSearch $changes): JsonResponse
    {
        $several = static fn(string $name): array => array_values(
            array_filter(explode(',', $request->string($name)->toString()), static fn(string $one): bool => $one !== ''),
        );
        $among = static fn(array $known): \Closure => static function (string $name, mixed $value, \Closure $fail) use ($known): void {
            if (array_diff(explode(',', (string) $value), $known) !== []) {
                $fail("Choose {$name} from " . implode(', ', $known) . '.');
            }
        };
        $request->validate([
            'show' => 'nullable|in:open,closed,all',
            'words' => 'nullable|string|max:200',
            'priority' => ['nullable', 'string', $among(array_column(Priority::cases(), 'value'))],
            'type' => ['nullable', 'string', $among(['report', 'request', 'order'])],
            'step' => ['nullable', 'string', $among(array_column(WorkStep::cases(), 'value'))],
            'mine' => 'nullable|in:part,waiting,watching',
            'person' => 'nullable|string|max:60',
            'waits_for' => 'nullable|string|max:60',
            'item' => 'nullable|string|max:60',
            'sort' => 'nullable|string|max:20',
            'since' => 'nullable|bail|string|date_format:Y-m-d',
            'until' => 'nullable|bail|string|date_format:Y-m-d',
            'from' => 'nullable|integer|between:0,100000000',
            'most' => 'nullable|integer|between:1,' . ChangeSearch::MOST,
        ]);
        $text = static fn(string $name): string => $request->string($name)->toString();
        $mine = $text('mine');

        return new JsonResponse(
            $changes->page(
                [
                    'show' => $text('show') ?: 'open',
                    'words' => $text('words'),
                    'priority' => $several('priority'),
                    'type' => $several('type'),
                    'step' => $several('step'),
                    'person' => $text('person'),
                    'waits_for' => $text('waits_for'),
                    'item' => $text('item'),
                    'since' => $text('since'),
                    'until' => $text('until'),
                    'part' => $mine === 'part' || $mine === 'waiting' ? $person->login : '',
                    'watched' => $mine === 'watching' ? $person->login : '',
                    // What waits for others does not need this one.
                    'but' => $mine === 'waiting' ? NeededFrom::numbers($person) : [],
                ],
                $request->integer('from'),
                $request->integer('most', self::PAGE),
                $text('sort'),
            ),
        );
    }

    #[OA\Get(path: '/api/dossiers/{number}', operationId: 'dossier', tags: ['changes'])]
    #[InPath('number'), Ok(Dossier::class), Refused]
    public function show(string $number, DossierReader $dossiers): JsonResponse
    {
        return new JsonResponse($dossiers->read($number));
    }
}
