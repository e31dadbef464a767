<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What was done to an item under an order, as its sheets tell it, in the languages of the documents. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE change_order_items ADD COLUMN done jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(done) = 'object');
            COMMENT ON COLUMN change_order_items.done IS 'what was done, by language; where nothing is said, the title of the order tells it';
        ");
    }
};
