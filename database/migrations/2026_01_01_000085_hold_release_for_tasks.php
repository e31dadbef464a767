<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A task may have to be done before its order is released. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE tasks ADD COLUMN before_release boolean NOT NULL DEFAULT false;
            COMMENT ON COLUMN tasks.before_release IS 'whether its order is not released before it is done';
        ");
    }
};
