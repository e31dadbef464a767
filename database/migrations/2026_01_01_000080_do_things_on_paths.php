<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What is to be done on an approval path besides signing, check lists of its steps, by which rule it is chosen, and who is responsible. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE approval_paths
                ADD COLUMN tasks jsonb NOT NULL DEFAULT '[]',
                ADD COLUMN sends_itself boolean NOT NULL DEFAULT false,
                ADD COLUMN chosen_when jsonb,
                ADD COLUMN rank integer NOT NULL DEFAULT 0;
            COMMENT ON COLUMN approval_paths.sends_itself IS 'to review, when the last task before is done';
            COMMENT ON COLUMN approval_paths.chosen_when IS 'conditions that all hold where it is chosen by rule; null: it is chosen by hand only';
            COMMENT ON COLUMN approval_paths.rank IS 'of several whose rule holds the one with the least is chosen';
            ALTER TABLE change_orders ADD COLUMN path_by_rule boolean NOT NULL DEFAULT false;
            COMMENT ON COLUMN change_orders.path_by_rule IS 'whether a rule chooses the path, until the order is sent to review';
            ALTER TABLE signatures ADD COLUMN checks jsonb NOT NULL DEFAULT '[]';
            COMMENT ON COLUMN signatures.checks IS 'rows of the check list of the step that were ticked';
            ALTER TABLE tasks
                ADD COLUMN before_review boolean NOT NULL DEFAULT false,
                ADD COLUMN path_id bigint REFERENCES approval_paths (id),
                ADD COLUMN path_place integer,
                ADD CONSTRAINT tasks_path CHECK (num_nonnulls(path_id, path_place) <> 1);
            COMMENT ON COLUMN tasks.before_review IS 'whether its order is not sent to review before it is done';
            COMMENT ON COLUMN tasks.path_place IS 'which of the tasks of the path it is';
            CREATE TABLE responsible (
                field varchar(10) NOT NULL CHECK (field IN ('category', 'plant')),
                code varchar(40) NOT NULL,
                who varchar(80) NOT NULL,
                PRIMARY KEY (field, code)
            );
            COMMENT ON TABLE responsible IS 'the owner of the items of a category, the planner of a plant: a sign-in name, or group: and a code';
        ");
    }
};
