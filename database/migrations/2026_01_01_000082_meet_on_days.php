<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** When the board meets. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE board_meetings (
                id bigserial PRIMARY KEY,
                starts_at timestamptz NOT NULL UNIQUE,
                minutes integer NOT NULL CHECK (minutes BETWEEN 5 AND 720),
                place varchar(120) NOT NULL DEFAULT '',
                called_off boolean NOT NULL DEFAULT false
            );
        ");
    }
};
