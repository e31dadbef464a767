<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Lines that are gathered into a kit leave one subject and come into another: what was done at one stroke is undone at one. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('ALTER TABLE edits ADD COLUMN stroke uuid');
        DB::statement("COMMENT ON COLUMN edits.stroke IS 'what was done together to several subjects; null: to this one alone'");
        DB::statement('CREATE INDEX edits_stroke ON edits (stroke) WHERE stroke IS NOT NULL');
    }
};
