<?php

declare(strict_types=1);

// The simulated planning system: a small HTTP service with a database of its own.
// POST /supply, /items, /items/unknown, /copy, /copy/digests, /hand-overs, /files and /load are for programs that show the token, /events
// for whoever signs; / and /told are pages for people.

require __DIR__ . '/Planning.php';
require __DIR__ . '/HandOvers.php';
require __DIR__ . '/DemoSupply.php';
require __DIR__ . '/Copy.php';
require __DIR__ . '/CopyPage.php';
require __DIR__ . '/Documents.php';
require __DIR__ . '/Page.php';
require __DIR__ . '/Told.php';

$path = (string) parse_url($_SERVER['REQUEST_URI'], PHP_URL_PATH);
if ($path === '/up') {
    echo 'up';

    return;
}

$answer = static function (int $status, array $body): void {
    http_response_code($status);
    header('Content-Type: application/json');
    echo json_encode($body, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
};

try {
    $planning = Planning::open();
    if ($_SERVER['REQUEST_METHOD'] === 'GET' && $path === '/') {
        header('Content-Type: text/html; charset=utf-8');
        echo Page::html($planning);

        return;
    }
    if ($_SERVER['REQUEST_METHOD'] === 'GET' && $path === '/told') {
        header('Content-Type: text/html; charset=utf-8');
        echo (new Told($planning))->html();

        return;
    }
    if ($_SERVER['REQUEST_METHOD'] === 'GET' && preg_match('~^/documents/([^/]+)$~D', $path, $named) === 1) {
        header('Content-Type: text/html; charset=utf-8');
        echo Page::document($planning, rawurldecode($named[1]));

        return;
    }
    if (
        $_SERVER['REQUEST_METHOD'] === 'GET' &&
        preg_match('~^/(structures|items|plants/(?<plant>[^/]+))/(?<item>[^/]+)$~D', $path, $named) === 1
    ) {
        header('Content-Type: text/html; charset=utf-8');
        $structure = ['structures' => 'engineering', 'items' => 'item_data'][$named[1]] ?? 'manufacturing';
        echo (new CopyPage($planning))->html($structure, rawurldecode($named['plant']), rawurldecode($named['item']));

        return;
    }
    if ($_SERVER['REQUEST_METHOD'] === 'POST' && preg_match('~^/copy/(\d{1,18})$~D', $path, $named) === 1) {
        // Somebody changes it over here; again a page for demonstrations on loopback.
        isset($_POST['drop'])
            ? (new Copy($planning))->drop((int) $named[1])
            : (new Copy($planning))->change((int) $named[1], (string) ($_POST['name'] ?? ''), (string) ($_POST['value'] ?? ''));
        header('Location: ' . (parse_url($_SERVER['HTTP_REFERER'] ?? '/', PHP_URL_PATH) ?: '/'), true, 303);

        return;
    }
    if ($_SERVER['REQUEST_METHOD'] === 'POST' && $path === '/behaviour') {
        // A page for demonstrations on loopback; it changes nothing but how this stand-in behaves.
        match (true) {
            isset($_POST['create']) => $planning->createMissing(),
            isset($_POST['unlock']) => $planning->unlock(),
            default => $planning->behave((string) ($_POST['mode'] ?? 'normal')),
        };
        header('Location: /', true, 303);

        return;
    }
    $told = new Told($planning);
    // Whoever tells of an event shows no token, but signs it.
    if ("{$_SERVER['REQUEST_METHOD']} {$path}" === 'POST /events') {
        $said = static fn(string $name): string => (string) ($_SERVER['HTTP_WEBHOOK_' . $name] ?? '');
        $answer(
            ...$planning->mode() === 'down'
                ? [503, ['error' => 'Planning is down for maintenance.']]
                : $told->event($said('ID'), $said('TIMESTAMP'), $said('SIGNATURE'), (string) file_get_contents('php://input')),
        );

        return;
    }
    if (!hash_equals('Bearer ' . getenv('PLANNING_TOKEN'), $_SERVER['HTTP_AUTHORIZATION'] ?? '')) {
        $answer(401, ['error' => 'Show the token.']);

        return;
    }
    $body = (string) file_get_contents('php://input');
    if ($path === '/load') {
        $answer(200, DemoSupply::load($planning, json_decode($body, true, flags: JSON_THROW_ON_ERROR)));

        return;
    }
    switch ($planning->mode()) {
        case 'down':
            $answer(503, ['error' => 'Planning is down for maintenance.']);

            return;
        case 'slow':
            sleep(8);
            break;
        case 'nonsense':
            echo '<html>Welcome!</html>';

            return;
    }
    $take = static function (string $body) use ($planning): array {
        $taken = (new HandOvers($planning))->take($_SERVER['HTTP_IDEMPOTENCY_KEY'] ?? '', $body, $planning->mode() === 'half taken');

        return match ($planning->mode()) {
            'answers twice' => [200, ['entries' => [...$taken['entries'], ...$taken['entries']]] + $taken],
            // It has taken it, and whoever asked does not learn of it until they ask again.
            'answers late' => $planning->isFirst($taken['name']) ? [504, ['error' => 'Planning took too long.']] : [200, $taken],
            default => [200, $taken],
        };
    };
    $asked = static fn(): array => json_decode($body, true, flags: JSON_THROW_ON_ERROR);
    match ($_SERVER['REQUEST_METHOD'] . ' ' . $path) {
        'POST /supply' => $answer(200, $planning->supply($asked()['items'])),
        'POST /items/unknown' => $answer(200, [
            'unknown' => $planning->unknown(json_decode($body, true, flags: JSON_THROW_ON_ERROR)['items']),
        ]),
        'POST /items' => $answer(200, ['items' => $planning->introduce($asked()['items'])]),
        'POST /copy' => $answer(
            200,
            (new Copy($planning))->rows((string) $asked()['from'], (string) $asked()['today'], $asked()['items'], limit: 20_000),
        ),
        'POST /copy/digests' => $answer(
            200,
            (new Copy($planning))->digests(
                (string) $asked()['from'],
                $asked()['before'] ?? null,
                (string) $asked()['today'],
                limit: 20_000,
            ),
        ),
        'POST /hand-overs' => $answer(...$take($body)),
        'POST /files' => $answer(...$told->file($_SERVER['HTTP_IDEMPOTENCY_KEY'] ?? '', $body)),
        default => $answer(404, ['error' => 'Nothing here.']),
    };
} catch (JsonException | InvalidArgumentException $e) {
    $answer(400, ['error' => $e->getMessage()]);
}
