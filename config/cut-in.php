<?php

declare(strict_types=1);

// What the cut-in planner assumes where nobody says otherwise. Everything here is listed with the answer and can be overridden.
return [
    // Days that are looked at.
    'days' => 365,
    // Receipts due within so many working days are not cancelled any more.
    'notice_days' => 10,
    // An overdue receipt is expected in so many working days, until somebody says a day.
    'overdue_days' => 10,
    // Working days that something takes from one plant to another.
    'transfer_days' => 2,
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
    // What one that is left over costs, in percent of what it cost: used up means waited for, or lost whole.
    'disposal_percent' => ['use_up' => 100, 'scrap' => 100, 'return' => 30, 'hold' => 10],
    // What the work to make a new one of it costs, in percent of what it cost.
    'rework_percent' => 40,
    // What one costs that is missing on the day it is wanted, in percent of its cost: a line stands.
    'shortage_percent' => 200,
    // Working days until a change is approved and released.
    'approval_days' => 10,
    // What it costs to see to one started work order that is under way on the day.
    'per_straddling_order' => '35.00',
    // Status words of planning.
    'started' => ['started'],
    'not_free' => ['service stock'],
    // An order of this status is the last: the part cannot be ordered any more.
    'last_time' => ['last-time buy'],
];
