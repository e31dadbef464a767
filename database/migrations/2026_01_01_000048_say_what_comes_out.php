<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A line of what a plant builds can be a by-product: so much of it comes out of an operation, and nothing of it goes in. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement(
            'ALTER TABLE structure_lines ADD COLUMN by_product boolean NOT NULL DEFAULT false,
                ADD CONSTRAINT structure_lines_by_product CHECK (
                    NOT by_product OR (operation IS NOT NULL AND scrap = 0 AND takes_over IS NULL AND NOT phantom)
                )',
        );
        DB::statement("COMMENT ON COLUMN structure_lines.by_product IS 'comes out of the operation; nothing of it goes into the parent'");
        DB::statement('CREATE INDEX structure_lines_by_products ON structure_lines (content_id) WHERE by_product');
    }
};
