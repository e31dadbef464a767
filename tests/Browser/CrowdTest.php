<?php

declare(strict_types=1);

use Tests\Browser\Support\Api;
use Tests\Browser\Support\Crowd;

// Two hundred people do the same thing at the same moment: it is done as often as it may be, and everybody is answered.

it('gives a task to one of two hundred who claim it at once', function (): void {
    $crowd = new Crowd($this->address, 200);
    $task = (new Api($this->address, 'mira.okafor'))->call('POST', '/changes/ECR-00096/tasks', [
        'title' => 'Count what is in the racks',
        'text' => '',
        'kind' => 'purchasing',
        'to' => "group:{$crowd->group}",
        'priority' => 'normal',
        'checks' => [],
        'waits_for' => [],
    ])['number'];
    $answers = $crowd->all('POST', "/tasks/{$task}/claim");
    expect(array_count_values($answers))
        ->toEqual([200 => 1, 422 => 199])
        ->and($crowd->value('SELECT state FROM tasks WHERE number = ?', [$task]))
        ->toBe('claimed')
        ->and($crowd->value("SELECT count(*) FROM ledger WHERE act = 'task.claimed' AND details LIKE ?", ["%{$task}%"]))
        ->toBe(1)
        // Whoever was answered yes has it.
        ->and($crowd->value('SELECT p.login FROM tasks t JOIN people p ON p.id = t.holder_id WHERE t.number = ?', [$task]))
        ->toBe($crowd->logins[array_search(200, $answers, true)]);
    $crowd->disperse();
});

it('takes three signatures of two hundred who sign at once', function (): void {
    $crowd = new Crowd($this->address, 200);
    $mira = new Api($this->address, 'mira.okafor');
    (new Api($this->address, 'ivo.tanner'))->call('PUT', "/approval-paths/{$crowd->group}", [
        'name' => 'Three of the crowd',
        'steps' => [
            [
                'name' => 'Review',
                'stage' => 1,
                'who' => ["group:{$crowd->group}"],
                'needed' => 3,
                'meaning' => 'reviewed',
                'with_password' => false,
                'due_days' => null,
                'conditions' => [],
                'back_to' => [0],
            ],
        ],
        'retired' => false,
    ]);
    $order = $crowd->judged($crowd->group);
    $digest = $mira->call('GET', "/orders/{$order}/review")['order']['digest'];
    $answers = $crowd->all('POST', "/orders/{$order}/signature", ['password' => '', 'digest' => $digest, 'step' => 0]);
    expect(array_count_values($answers))
        ->toEqual([200 => 3, 422 => 197])
        ->and($crowd->value('SELECT state FROM change_orders WHERE number = ?', [$order]))
        ->toBe('signed')
        ->and($crowd->value("SELECT count(*) FROM ledger WHERE act = 'order.signed' AND subject = ?", [$order]))
        ->toBe(3)
        ->and(
            $crowd->value(
                'SELECT count(DISTINCT s.person_id) FROM signatures s JOIN change_orders o ON o.id = s.order_id WHERE o.number = ?',
                [$order],
            ),
        )
        ->toBe(3);
    $crowd->disperse();
});
