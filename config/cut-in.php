<?php

declare(strict_types=1);

// What the cut-in planner assumes where nobody says otherwise. Everything here is listed with the answer and can be overwritten.
return [
    // Days that are looked at.
    'days' => 365,
    // Receipts due within so many days are not cancelled any more.
    'notice_days' => 14,
    // What cancelling costs, in percent of the value, by kind or status of the document; null: it cannot be cancelled.
    'cancel_percent' => [
        'purchase_requisition' => 0,
        'ordered' => 5,
        'confirmed' => 20,
        'planned' => 0,
        'last-time buy' => null,
        'started' => null,
        'other' => 20,
    ],
    // What it costs to be rid of one that is left over, in percent of its cost.
    'disposal_percent' => ['use_up' => 0, 'rework' => 40, 'scrap' => 100, 'return' => 30, 'hold' => 10],
    // What one costs more that is wanted before there is any, in percent of its cost.
    'expedite_percent' => 50,
    // Days until a change is approved and released.
    'approval_days' => 10,
    // What it costs to see to one work order that is under way on the day.
    'per_straddling_order' => '35.00',
    // Status words of planning.
    'issued' => ['started'],
    'not_free' => ['service stock'],
];
