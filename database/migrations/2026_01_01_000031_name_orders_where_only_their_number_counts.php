<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What lower floors know of requests and orders: which one it is, and which orders work on an item now. They need no more, and read no
 * more.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('CREATE VIEW request_numbers AS SELECT id, number FROM change_requests');
        DB::statement('CREATE VIEW order_numbers AS SELECT id, number FROM change_orders');
        DB::statement("CREATE VIEW revising_orders AS SELECT i.item_id, o.id AS order_id, o.number
            FROM change_order_items i JOIN change_orders o ON o.id = i.order_id WHERE i.outcome = 'revise' AND o.state IN ('revising', 'in_review', 'signed')");
    }
};
