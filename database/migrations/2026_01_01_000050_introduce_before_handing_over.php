<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Items that planning lacks are introduced to it before a hand-over names them; which ones, the hand-over says. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement("ALTER TABLE handovers ADD COLUMN introduced jsonb NOT NULL DEFAULT '[]'");
    }
};
