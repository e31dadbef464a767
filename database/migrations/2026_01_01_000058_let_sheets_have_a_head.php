<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A sheet says what its order is called and who does what as well; and a sheet may be of an order that does not exist yet. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE order_sheets
                ADD COLUMN head jsonb NOT NULL DEFAULT '{}',
                ALTER COLUMN order_id DROP NOT NULL;
            COMMENT ON COLUMN order_sheets.head IS 'what stood above its table when it was taken away, by name';
        ");
    }
};
