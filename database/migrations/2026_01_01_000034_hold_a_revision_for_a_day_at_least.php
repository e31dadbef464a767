<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    /** An empty stretch of days overlaps no other, so the exclusion of days does not see it. */
    public function up(): void
    {
        DB::statement('ALTER TABLE revisions ADD CONSTRAINT revisions_hold CHECK (effective_to IS NULL OR effective_to > effective_from)');
    }
};
