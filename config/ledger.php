<?php

declare(strict_types=1);

return [
    // The file in which the state of the ledger is noted each day and at each release: outside the database, beside its
    // backups, best on a place that can only be appended to. Empty: nowhere.
    'anchors' => (string) env('LEDGER_ANCHORS', storage_path('app/ledger-anchors.log')),

    // What its notes are sealed with. Empty: a key made of the application's.
    'anchor_key' => (string) env('LEDGER_ANCHOR_KEY', ''),
];
