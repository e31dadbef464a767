<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Redoing takes what was undone last: of two acts undone within one second as well, and by the one clock that all web servers share. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('ALTER TABLE edits ALTER COLUMN withdrawn_at TYPE timestamptz(6)');
    }
};
