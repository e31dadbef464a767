<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Who can act on an order now, and whom it names at all: what Approval\Progress says of one order, as a part of a question about many. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement("CREATE VIEW acting_on_orders AS
            SELECT id AS order_id, editor_id AS person_id FROM change_orders WHERE state = 'revising' AND editor_id IS NOT NULL
            UNION ALL SELECT id, signer_id FROM change_orders WHERE state = 'in_review' AND signer_id IS NOT NULL");
        DB::statement('CREATE VIEW people_of_orders AS
            SELECT id AS order_id, author_id AS person_id FROM change_orders
            UNION SELECT id, editor_id FROM change_orders WHERE editor_id IS NOT NULL
            UNION SELECT id, signer_id FROM change_orders WHERE signer_id IS NOT NULL');
    }
};
