<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Tasks that are done by editing parts of an order, and under which of them an edit was made. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE task_subjects (
                task_id bigint NOT NULL REFERENCES tasks (id),
                item_id bigint NOT NULL REFERENCES items (id),
                kind varchar(30) NOT NULL,
                plant varchar(40) NOT NULL DEFAULT '',
                PRIMARY KEY (task_id, item_id, kind, plant)
            );
            CREATE INDEX tasks_change ON tasks (change);
            ALTER TABLE edits ADD COLUMN task_id bigint REFERENCES tasks (id);
            CREATE INDEX edits_task ON edits (task_id) WHERE task_id IS NOT NULL;
            COMMENT ON TABLE task_subjects IS 'what whoever has the task edits of the order that it is for';
            COMMENT ON COLUMN edits.task_id IS 'under which its author made it; null: the order itself';
        ");
    }
};
