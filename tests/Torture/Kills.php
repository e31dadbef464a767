<?php

declare(strict_types=1);

namespace Tests\Torture;

use Random\Randomizer;

/** Kills what serves the product in the middle of saving, releasing, handing over and importing: all of it was done, or nothing. */
final class Kills
{
    private ?string $open = null;

    private string $item = '';

    private int $find = 0;

    /** @param  array<string, Client>  $people */
    public function __construct(
        private readonly array $people,
        private readonly Database $database,
        private readonly Database $planning,
        private readonly Processes $processes,
        private readonly string $day,
    ) {}

    /** @return list<array{string, ?string}> */
    public function saving(Randomizer $random): array
    {
        if ($this->open === null || $this->find > 2_000) {
            [$this->open, $this->item] = $this->opened();
            $this->find = 0;
        }
        $edits =
            'SELECT count(*) FROM edits e JOIN works w ON w.id = e.work_id JOIN change_order_items i ON i.id = w.order_item_id JOIN change_orders o ON o.id = i.order_id WHERE o.number = ?';
        $records = "SELECT count(*) FROM ledger WHERE subject = ? AND act = 'structure.add'";
        $before = [(int) $this->database->value($edits, [$this->open]), (int) $this->database->value($records, [$this->open])];
        $path = "/orders/{$this->open}/items/{$this->item}";
        $seen = $this->people['jonas.weir']->must('GET', "{$path}/redline")['seen'];
        $this->find += 10;
        $wait = $random->getInt(0, 60);
        $this->people['jonas.weir']->during(
            'POST',
            "{$path}/edits",
            [
                'operation' => 'add',
                'line' => '',
                'fields' => ['find' => (string) $this->find, 'component' => '600-0014', 'quantity' => '1', 'unit' => 'pc'],
                'seen' => $seen,
            ],
            $wait,
            fn() => $this->processes->killWeb($random),
        );
        $this->isUp();
        $made = [
            (int) $this->database->value($edits, [$this->open]) - $before[0],
            (int) $this->database->value($records, [$this->open]) - $before[1],
        ];
        $rows = count($this->people['jonas.weir']->must('GET', "{$path}/redline")['rows']);

        return [
            [
                "saving, killed after {$wait} ms",
                match (true) {
                    $made[0] !== $made[1] || $made[0] < 0 || $made[0] > 1 => "{$made[0]} edits and {$made[1]} records of them",
                    $rows !== $before[0] + $made[0] => "{$rows} rows after " . ($before[0] + $made[0]) . ' edits',
                    default => null,
                },
            ],
        ];
    }

    /** @return list<array{string, ?string}> */
    public function releasing(Randomizer $random): array
    {
        [$order, $item] = $this->signed();
        $wait = $random->getInt(0, 150);
        $version = $this->database->value('SELECT version FROM change_orders WHERE number = ?', [$order]);
        $this->people['mira.okafor']->during(
            'POST',
            "/orders/{$order}/release",
            ['version' => $version],
            $wait,
            fn() => $this->processes->killWeb($random),
        );
        $this->isUp();

        return [["releasing {$order}, killed after {$wait} ms", $this->isReleased($order, $item, $version)]];
    }

    /** What is wrong with an order that was released or not: all of it is there once, or nothing was and it can be done again. */
    public function isReleased(string $order, string $item, mixed $version): ?string
    {
        // Where planning was quick, it has closed by itself since.
        $facts = fn(): string => (string) $this->database->value(
            "SELECT concat_ws(' ', replace(o.state, 'closed', 'released'), (SELECT count(*) FROM revisions r JOIN items i ON i.id = r.item_id WHERE i.number = ? AND r.status = 'released'),
                (SELECT count(*) FROM handovers h WHERE h.order_id = o.id), (SELECT count(*) FROM outbox m JOIN handovers h ON h.id = m.handover_id WHERE h.order_id = o.id),
                (SELECT count(*) FROM ledger l WHERE l.subject = o.number AND l.act = 'order.released')) FROM change_orders o WHERE o.number = ?",
            [$item, $order],
        );
        $after = $facts();
        if ($after === 'signed 0 0 0 0') {
            $this->people['mira.okafor']->must('POST', "/orders/{$order}/release", ['version' => $version]);
            $after = $facts();
        }

        return $after === 'released 1 1 1 1' ? null : "state, revisions, hand-overs, messages, records: {$after}";
    }

    /** @return list<array{string, ?string}> */
    public function handingOver(Randomizer $random): array
    {
        [$order] = $this->signed();
        $this->people['mira.okafor']->must('POST', "/orders/{$order}/release", [
            'version' => $this->database->value('SELECT version FROM change_orders WHERE number = ?', [$order]),
        ]);
        $waits = array_map(static fn(): int => $random->getInt(0, 700), range(1, $random->getInt(1, 3)));
        foreach ($waits as $wait) {
            usleep($wait * 1000);
            $this->processes->killWorkers();
        }
        [$name, $fault] = $this->arrives($order);

        return [["handing over {$name}, killed after " . implode(', ', $waits) . ' ms', $fault]];
    }

    /**
     * Lets what was lost with a worker be queued again, as if the minutes had gone by after which it is, and waits for planning.
     *
     * @return array{string, ?string} the name of the hand-over of an order; what is wrong with it
     */
    public function arrives(string $order): array
    {
        $of = 'FROM handovers h JOIN change_orders o ON o.id = h.order_id WHERE o.number = ?';
        $this->database->value(
            "UPDATE outbox SET due_at = now() - interval '2 minutes', queued_at = now() - interval '11 minutes' WHERE delivered_at IS NULL AND handover_id IN (SELECT h.id {$of}) RETURNING 1",
            [$order],
        );
        exec('php artisan outbox:sweep 2>&1', $said, $status);
        // Whoever does not answer is asked again after 5, 15 and 60 seconds; on a machine that is busy it comes back after the second.
        $taken = $this->database->waits(150, "SELECT h.state = 'taken' {$of}", [$order]);
        $name = (string) $this->database->value("SELECT h.name {$of}", [$order]);
        $kept = (int) $this->planning->value('SELECT count(*) FROM hand_over WHERE name = ?', [$name]);

        return [
            $name,
            match (true) {
                $status !== 0 => 'the outbox could not be swept: ' . implode(' ', $said),
                !$taken => 'it is ' . $this->database->value("SELECT h.state {$of}", [$order]),
                $kept !== 1 => "planning has it {$kept} times",
                default => null,
            },
        ];
    }

    /** @return list<array{string, ?string}> */
    public function importing(Randomizer $random): array
    {
        $count = $random->getInt(1, 1_500);
        $prefix = '990-' . str_pad((string) $random->getInt(0, 99_999_999), 8, '0', STR_PAD_LEFT);
        $content = "number,title,kind,category,unit,supply\n";
        for ($i = 0; $i < $count; $i++) {
            $content .= "{$prefix}-{$i},Washer {$i},part,fastener,pc,buy\n";
        }
        $answer = $this->people['ivo.tanner']->ask('POST', '/api/imports', [
            'multipart' => [
                ['name' => 'subject', 'contents' => 'items'],
                ['name' => 'file', 'contents' => $content, 'filename' => "{$prefix}.csv"],
            ],
        ]);
        $id = json_decode((string) $answer?->getBody(), true)['number'] ?? null;
        if (!is_string($id)) {
            return [["importing {$count} items", 'not taken: ' . $answer?->getBody()]];
        }
        $wait = $random->getInt(0, 2_500);
        usleep($wait * 1000);
        $this->processes->killWorkers();
        $this->database->waits(
            10,
            "SELECT count(*) = 0 FROM pg_stat_activity WHERE datname = current_database() AND state <> 'idle' AND pid <> pg_backend_pid() AND query ILIKE '%items%'",
        );
        $kept = (int) $this->database->value("SELECT count(*) FROM items WHERE number LIKE '{$prefix}-%'");
        $state = (string) $this->database->value('SELECT state FROM imports WHERE id = ?', [$id]);

        return [
            [
                "importing {$count} items, killed after {$wait} ms",
                match (true) {
                    $kept !== 0 && $kept !== $count => "{$kept} of {$count} were written",
                    ($state === 'done') !== ($kept === $count) => "it is {$state} with {$kept} of {$count}",
                    default => null,
                },
            ],
        ];
    }

    /** @return array{string, string} a new order that is open for revision by jonas, and its new item */
    public function opened(?string $path = null): array
    {
        $item = (string) $this->people['jonas.weir']->must('POST', '/items', [
            'title' => 'Bracket under test',
            'kind' => 'assembly',
            'category' => 'pump',
            'unit' => 'pc',
            'supply' => 'make',
        ])['number'];
        $request = (string) $this->people['jonas.weir']->must('POST', '/requests', [
            'title' => "First release of {$item}",
            'reason' => 'improvement',
            'source' => 'shop_floor',
            'site' => 'Weir',
            'priority' => 'normal',
            'description' => 'A new bracket.',
            'items' => [$item],
        ])['number'];
        $mira = $this->people['mira.okafor'];
        $mira->must('POST', "/requests/{$request}/finding", ['finding' => 'Feasible.', 'version' => 1]);
        $mira->must('POST', "/requests/{$request}/decision", ['decision' => 'approved', 'reason' => 'Needed.', 'version' => 2]);
        $order = (string) $mira->must('POST', "/requests/{$request}/order")['number'];
        $mira->must('PATCH', "/orders/{$order}", [
            'editor' => 'jonas.weir',
            'signer' => 'helen.marsh',
            'effective_on' => $this->day,
            'version' => 1,
            ...$path === null ? [] : ['path' => $path],
        ]);
        $mira->must('PUT', "/orders/{$order}/items/{$item}", ['outcome' => 'revise', 'disposition' => null, 'version' => 2]);
        $mira->must('POST', "/orders/{$order}/opening", ['version' => 3]);

        return [$order, $item];
    }

    /** Edits an order that is opened, and sends it to review. */
    public function sent(string $order, string $item): void
    {
        $this->people['jonas.weir']->must('POST', "/orders/{$order}/items/{$item}/edits", [
            'operation' => 'add',
            'line' => '',
            'fields' => ['find' => '10', 'component' => '600-0014', 'quantity' => '2', 'unit' => 'pc'],
            'seen' => 0,
        ]);
        $this->people['jonas.weir']->must('POST', "/orders/{$order}/review", [
            'version' => $this->database->value('SELECT version FROM change_orders WHERE number = ?', [$order]),
        ]);
    }

    /** @return array{string, string} an order that waits for its release, and its new item */
    public function signed(): array
    {
        [$order, $item] = $this->opened();
        $this->sent($order, $item);
        $digest = $this->people['helen.marsh']->must('GET', "/orders/{$order}/review")['order']['digest'];
        $this->people['helen.marsh']->must('POST', "/orders/{$order}/signature", ['password' => 'quillback', 'digest' => $digest]);

        return [$order, $item];
    }

    /** php-fpm starts its workers anew by itself. */
    public function isUp(): void
    {
        for ($try = 0; $try < 100; $try++) {
            $answer = $this->people['mira.okafor']->ask('GET', '/api/session');
            if ($answer?->getStatusCode() === 200) {
                return;
            }
            usleep(100_000);
        }
        throw new \RuntimeException('The product did not come back after it was killed.');
    }
}
