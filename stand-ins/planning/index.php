<?php

declare(strict_types=1);

// The simulated planning system: a small HTTP service with a database of its own.
// POST /supply, /items, /items/unknown, /hand-overs and /load are for programs that show the token; / is a page for people.

require __DIR__ . '/Planning.php';
require __DIR__ . '/HandOvers.php';
require __DIR__ . '/DemoSupply.php';
require __DIR__ . '/ItemData.php';
require __DIR__ . '/PlantBuilds.php';
require __DIR__ . '/Page.php';

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
    if ($_SERVER['REQUEST_METHOD'] === 'GET' && preg_match('~^/documents/([^/]+)$~D', $path, $named) === 1) {
        header('Content-Type: text/html; charset=utf-8');
        echo Page::document($planning, rawurldecode($named[1]));

        return;
    }
    if ($_SERVER['REQUEST_METHOD'] === 'GET' && preg_match('~^/items/([^/]+)$~D', $path, $named) === 1) {
        header('Content-Type: text/html; charset=utf-8');
        echo (new ItemData($planning))->html(rawurldecode($named[1]));

        return;
    }
    if ($_SERVER['REQUEST_METHOD'] === 'GET' && preg_match('~^/plants/([^/]+)/([^/]+)$~D', $path, $named) === 1) {
        header('Content-Type: text/html; charset=utf-8');
        echo (new PlantBuilds($planning))->html(rawurldecode($named[1]), rawurldecode($named[2]));

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
    $asked = static fn(): array => json_decode($body, true, flags: JSON_THROW_ON_ERROR);
    match ($_SERVER['REQUEST_METHOD'] . ' ' . $path) {
        'POST /supply' => $answer(200, $planning->supply($asked()['items'])),
        'POST /items/unknown' => $answer(200, [
            'unknown' => $planning->unknown(json_decode($body, true, flags: JSON_THROW_ON_ERROR)['items']),
        ]),
        'POST /items' => $answer(200, ['items' => $planning->introduce($asked()['items'])]),
        'POST /hand-overs' => $answer(200, (new HandOvers($planning))->take($_SERVER['HTTP_IDEMPOTENCY_KEY'] ?? '', $body)),
        default => $answer(404, ['error' => 'Nothing here.']),
    };
} catch (JsonException | InvalidArgumentException $e) {
    $answer(400, ['error' => $e->getMessage()]);
}
