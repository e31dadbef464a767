<?php

declare(strict_types=1);

use App\Ledger\Act;
use Symfony\Component\Finder\Finder;

require_once dirname(__DIR__, 2) . '/bin/lib/events.php';

/** @return array<string, string> path => PHP without comments and texts */
function sources(string $folder): array
{
    $sources = [];
    foreach (
        Finder::create()
            ->files()
            ->name('*.php')
            ->in(dirname(__DIR__, 2) . '/' . $folder)
        as $file
    ) {
        $code = '';
        foreach (PhpToken::tokenize($file->getContents()) as $token) {
            $code .= $token->is([T_COMMENT, T_DOC_COMMENT, T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE]) ? ' ' : $token->text;
        }
        $sources[$file->getRelativePathname()] = $code;
    }

    return $sources;
}

arch('core uses itself and exact arithmetic, nothing else')
    ->expect('Orthotaxis\Core')
    ->toOnlyUse(['Orthotaxis\Core', 'Brick\Math']);

arch('core is final')->expect('Orthotaxis\Core')->classes()->toBeFinal();

arch('everything is strict')
    ->expect(['Orthotaxis\Core', 'App'])
    ->toUseStrictTypes();

arch('nothing is left to debug with')
    ->expect(['dd', 'dump', 'var_dump', 'ray'])
    ->not->toBeUsed();

it('keeps database, network, files and the clock out of core', function (): void {
    $outside =
        '/\b(PDO|curl_\w+|file_get_contents|file_put_contents|fopen|fsockopen|stream_\w+|getenv|time|microtime|hrtime|date|now|random_int|random_bytes|sleep)\s*\(|new\s+\\\\?PDO\b|new\s+\\\\?DateTimeImmutable\s*(\(\s*\)|;)/';
    $found = array_filter(array_map(fn(string $code): array => preg_match_all($outside, $code, $m) > 0 ? $m[0] : [], sources('core')));
    expect($found)->toBe([]);
});

it('lets floors import only downwards', function (): void {
    $up = fn(string $folder, string $above): array => array_keys(
        array_filter(sources($folder), fn(string $code): bool => preg_match($above, $code) === 1),
    );
    expect($up('core', '/(?<![\\\\\w])(App|Illuminate|Database|Tests)\\\\/'))
        ->toBe([])
        ->and($up('app', '/(?<![\\\\\w])(Database|Tests)\\\\/'))
        ->toBe([])
        ->and($up('stand-ins', '/(?<![\\\\\w])(App|Illuminate|Orthotaxis)\\\\/'))
        ->toBe([]);
});

it('reaches other systems through the gateway to planning and the carrier of messages only', function (): void {
    $callers = array_keys(array_filter(sources('app'), fn(string $code): bool => preg_match('/Facades\\\\Http\b|\bHttp::/', $code) === 1));
    sort($callers);
    expect($callers)->toBe(['Outgoing/Carriers/HttpCarrier.php', 'Planning/PlanningGateway.php']);
});

it('asks for a right wherever something is changed', function (): void {
    $open = [];
    $files = [dirname(__DIR__, 2) . '/routes/web.php', ...glob(dirname(__DIR__, 2) . '/app/*/routes.php') ?: []];
    $said = implode("\n", array_map(static fn(string $path): string => (string) file_get_contents($path), $files));
    preg_match_all("/Route::(post|put|patch|delete)\(\s*'([^']+)'[^;]*;/", $said, $routes, PREG_SET_ORDER);
    foreach ($routes as [$text, , $path]) {
        if (
            preg_match('/Ability::\w+->gate\(\)/', $text) === 0 &&
            !str_starts_with($path, '/session') &&
            !in_array($path, ['/api/session', '/api/password', '/api/password-link'], true)
        ) {
            $open[] = $path;
        }
    }
    expect($open)->toBe([])->and(count($routes))->toBeGreaterThan(70);
});

/**
 * @param  array<string, array<string, true>>  $imports  room => rooms it imports
 * @return array<string, list<string>> those that stand in a loop
 */
function loops(array $imports): array
{
    // Whatever imports nothing that is left goes, again and again; what stays stands in a loop.
    do {
        $before = count($imports);
        $imports = array_filter(array_map(static fn(array $rooms): array => array_intersect_key($rooms, $imports), $imports));
    } while (count($imports) < $before);

    return array_map(array_keys(...), $imports);
}

it('has no rooms of core that import each other in a loop', function (): void {
    $imports = [];
    foreach (sources('core') as $path => $code) {
        $room = explode('/', $path)[0];
        preg_match_all('/use Orthotaxis\\\\Core\\\\(\w+)\\\\/', $code, $found);
        foreach ($found[1] as $other) {
            if ($other !== $room) {
                $imports[$room][$other] = true;
            }
        }
    }
    expect(loops($imports))->toBe([])->and(count($imports))->toBeGreaterThan(5);
});

it('has no rooms of the interface that import each other in a loop', function (): void {
    $imports = [];
    foreach (
        Finder::create()
            ->files()
            ->name(['*.ts', '*.tsx'])
            ->notName('*.test.*')
            ->in(dirname(__DIR__, 2) . '/resources/js')
        as $file
    ) {
        $rooms = explode('/', $file->getRelativePath());
        preg_match_all("/(?:from|import\()\s*'((?:\.\.\/)+)(\w+)/", $file->getContents(), $found, PREG_SET_ORDER);
        foreach ($found as [, $up, $other]) {
            if (intdiv(strlen($up), 3) === count($rooms) && $rooms[0] !== '' && $other !== $rooms[0]) {
                $imports[$rooms[0]][$other] = true;
            }
        }
    }
    expect(loops($imports))->toBe([])->and(count($imports))->toBeGreaterThan(10);
});

it('offers every event of a change to other systems, and lists them all', function (): void {
    $offered = require dirname(__DIR__, 2) . '/config/events.php';
    $names = [];
    foreach ($offered as $kind => $some) {
        $sorted = $some;
        sort($sorted);
        expect($some)->toBe($sorted);
        array_push($names, ...array_map(static fn(string $name): string => "{$kind}.{$name}", $some));
    }
    $recorded = array_filter(
        array_unique(array_merge(...array_values(recordedActs()))),
        static fn(string $act): bool => !in_array(explode('.', $act)[0], NOT_OF_CHANGES, true),
    );
    sort($names);
    sort($recorded);
    expect($names)->toBe($recorded)->and((string) file_get_contents(dirname(__DIR__, 2) . '/docs/formats.md'))->toContain(listedEvents());
});

it('has words for every act that the ledger records', function (): void {
    $words = (string) file_get_contents(dirname(__DIR__, 2) . '/resources/js/register/acts.ts');
    preg_match_all("/^  '([a-z_]+\\.[a-z_]+)': '[A-Z]/m", $words, $known);
    $recorded = array_unique(array_merge(...array_values(recordedActs())));
    expect(array_values(array_diff($recorded, $known[1])))->toBe([])->and(count($recorded))->toBeGreaterThan(60);
});

it('tells every act as an event: only the listener writes to the ledger', function (): void {
    foreach (array_keys(recordedActs()) as $class) {
        expect(is_subclass_of($class, Act::class))->toBeTrue("{$class} is no act.");
    }
    $writers = array_keys(array_filter(sources('app'), static fn(string $code): bool => str_contains($code, '->record(')));
    expect(array_map(basename(...), $writers))->toBe(['AppServiceProvider.php']);
});

it('names only what there is where nothing else looks', function (): void {
    $gone = [];
    foreach (glob(dirname(__DIR__, 2) . '/{bench,tests/Torture,bin/lib}/*.php', GLOB_BRACE) ?: [] as $path) {
        preg_match_all('/^use ([A-Za-z\\\\]+);/m', (string) file_get_contents($path), $used);
        foreach ($used[1] as $name) {
            if (!class_exists($name) && !interface_exists($name)) {
                $gone[] = basename($path) . ": {$name}";
            }
        }
    }
    expect($gone)->toBe([]);
});

it('lets a pattern end where the text ends, never before a line break', function (): void {
    $loose = [];
    foreach (['core', 'app', 'stand-ins'] as $folder) {
        foreach (
            Finder::create()
                ->files()
                ->name('*.php')
                ->in(dirname(__DIR__, 2) . '/' . $folder)
            as $file
        ) {
            foreach (PhpToken::tokenize($file->getContents()) as $token) {
                if (
                    $token->is(T_CONSTANT_ENCAPSED_STRING) &&
                    preg_match('/\$([\/~#])([imsxu]*)[\'"]$/D', $token->text, $end) === 1 &&
                    preg_match('/^[\'"](regex:)?(\/|~|#|\}|\))/', $token->text) === 1
                ) {
                    $loose[] = $file->getRelativePathname() . ' ' . $token->text;
                }
            }
        }
    }
    expect($loose)->toBe([]);
});

it('names every setting that the code asks for in .env.example, and no other of ours', function (): void {
    $root = dirname(__DIR__, 2);
    preg_match_all('/^([A-Z_]+)=/m', (string) file_get_contents("{$root}/.env.example"), $named);
    $asked = [];
    foreach (
        Finder::create()
            ->files()
            ->name('*.php')
            ->in("{$root}/config")
        as $file
    ) {
        preg_match_all("/\benv\(\s*'([A-Z_]+)'/", $file->getContents(), $found);
        array_push($asked, ...$found[1]);
    }
    $framework = '/^(APP_|SESSION_DRIVER$|CACHE_STORE$)/';
    expect(array_values(array_diff(array_unique($asked), $named[1])))
        ->toBe([])
        ->and(array_filter(array_diff($named[1], $asked), fn(string $name): bool => preg_match($framework, $name) === 0))
        ->toBe([]);
});
