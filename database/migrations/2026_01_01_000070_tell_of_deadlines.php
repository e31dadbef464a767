<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What was told of something that is due, so that it is told once; a due day that moves is another. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE deadlines_told (
                matter varchar(120) NOT NULL,
                due_on date NOT NULL,
                stage varchar(20) NOT NULL,
                told_at timestamptz NOT NULL,
                PRIMARY KEY (matter, due_on, stage)
            );
            COMMENT ON COLUMN deadlines_told.matter IS 'a step of the path of an order, a task, a question, a copy of a change notice';
        ");
    }
};
