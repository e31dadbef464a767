<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Two who set a category at once: the later one is told. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('ALTER TABLE categories ADD COLUMN version integer NOT NULL DEFAULT 1');
    }
};
