<?php

declare(strict_types=1);

return [
    // The currency every cost is kept in (ISO 4217). One installation, one currency.
    'currency' => env('ORTHOTAXIS_CURRENCY', 'EUR'),

    // How days, amounts and numbers are written on screen, and whether a decimal comma is understood (BCP 47).
    'locale' => env('ORTHOTAXIS_LOCALE', 'en-GB'),

    // Languages that documents are written in: each has its words in lang/. The first is used where nobody says.
    'languages' => array_values(array_filter(explode(',', (string) env('DOCUMENT_LANGUAGES', 'en,de')))),

    'planning' => [
        // Where the planning system answers, and how long we wait for it before saying that it does not.
        'url' => env('PLANNING_URL', 'http://127.0.0.1:8190'),
        // Where people see a document of the planning system in their browser.
        'pages' => rtrim((string) env('PLANNING_PAGES', env('PLANNING_URL', 'http://127.0.0.1:8190')), '/'),
        'token' => env('PLANNING_TOKEN', ''),
        'connect_seconds' => (float) env('PLANNING_CONNECT_SECONDS', 1),
        'answer_seconds' => (float) env('PLANNING_ANSWER_SECONDS', 20),
        // While a person waits: how long at most, and how many people at once. Others go on with what was last known.
        'request_seconds' => (float) env('PLANNING_REQUEST_SECONDS', 3),
        'at_once' => (int) env('PLANNING_AT_ONCE', 2),
        // How long a planning system that did not answer twice is left alone before it is tried again; 0: it always is.
        'rest_seconds' => (int) env('PLANNING_REST_SECONDS', 20),
        // How long the cut-in planner works with what planning told before it asks again by itself; 0: it always asks.
        'keep_seconds' => (int) env('PLANNING_KEEP_SECONDS', 300),
    ],

    'index' => [
        // Where this machine keeps its structure index: rebuilt from the database whenever it is missing.
        'folder' => env('STRUCTURE_INDEX', storage_path('app/structures')),
        // Whether a new version waits until a web worker of this machine has compiled it, so that no question does.
        'warmed' => (bool) env('STRUCTURE_INDEX_WARMED', false),
    ],

    'files' => [
        // Whether a file that somebody brought is read in a process of its own, with bounds on its memory and time.
        'read_apart' => (bool) env('FILES_READ_APART', true),
    ],

    'handover' => [
        // How often a hand-over that planning did not answer is tried again by itself, and the pause before each try.
        'tries' => (int) env('HANDOVER_TRIES', 5),
        'pauses' => [5, 15, 60, 300],
    ],
];
