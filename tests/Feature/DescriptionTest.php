<?php

declare(strict_types=1);

use App\Console\ApiDescription;
use Illuminate\Support\Facades\Route;

it('has a description of the API that is up to date', function (): void {
    expect(file_get_contents(base_path('docs/openapi.json')))->toBe((new ApiDescription())->json(), 'Run bin/api.');
});

it('has TypeScript types that are up to date with the description', function (): void {
    $out = tempnam(sys_get_temp_dir(), 'types');
    exec(
        'cd ' .
            escapeshellarg(base_path()) .
            ' && npx --no-install openapi-typescript docs/openapi.json -o ' .
            escapeshellarg($out) .
            '.ts 2>&1',
        $said,
        $status,
    );
    expect($status)->toBe(0, implode("\n", $said));
    $plain = fn(string $text): string => (string) preg_replace('/\s+|;|[()|]/', '', $text);
    expect($plain((string) file_get_contents("{$out}.ts")))->toBe(
        $plain((string) file_get_contents(resource_path('js/lib/api-schema.d.ts'))),
        'Run bin/api.',
    );
});

it('describes every call of the API', function (): void {
    $described = array_keys(json_decode((string) file_get_contents(base_path('docs/openapi.json')), true)['paths']);
    $routes = collect(Route::getRoutes()->getRoutes())
        ->map(fn($route): string => '/' . $route->uri())
        ->filter(fn(string $uri): bool => str_starts_with($uri, '/api/') && $uri !== '/api/{rest}')
        ->unique()
        ->values()
        ->all();
    expect($routes)->toEqualCanonicalizing($described);
});

it('lets acts on reports, requests and orders answer what they were done to and its version, and no page', function (): void {
    $answers = [];
    /** @var array{paths: array<string, array<string, array{operationId: string, responses: array<string, mixed>}>>} $api */
    $api = json_decode((string) file_get_contents(base_path('docs/openapi.json')), true, flags: JSON_THROW_ON_ERROR);
    foreach ($api['paths'] as $path => $calls) {
        if (preg_match('#^/api/(reports|requests|orders|questions|forms|handovers)(/|$)#', $path) !== 1) {
            continue;
        }
        foreach (array_intersect_key($calls, ['post' => 1, 'put' => 1, 'patch' => 1, 'delete' => 1]) as $call) {
            $answers[$call['operationId']] = basename(data_get($call, 'responses.200.content.application/json.schema.$ref', ''));
        }
    }
    // Asked, and nothing done; a sheet and a model are told cell by cell and line by line, whether it was done or not.
    unset($answers['lookAtForm'], $answers['bringBackSheet'], $answers['takeOverModel']);
    // What is done at one stroke says besides by what it is undone; what was undone, at which items.
    expect(array_filter($answers, static fn(string $answer): bool => !in_array($answer, ['Done', 'StrokeDone', 'Turned'], true)))
        ->toBe([])
        ->and(count($answers))
        ->toBeGreaterThan(35);
});
