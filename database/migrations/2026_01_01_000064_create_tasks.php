<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Groups of people, and what somebody is to do for a change. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE groups (
                id bigserial PRIMARY KEY,
                code varchar(30) NOT NULL UNIQUE,
                name varchar(80) NOT NULL,
                retired boolean NOT NULL DEFAULT false,
                version integer NOT NULL DEFAULT 1
            );
            CREATE TABLE group_members (
                group_id bigint NOT NULL REFERENCES groups (id),
                person_id bigint NOT NULL REFERENCES people (id),
                PRIMARY KEY (group_id, person_id)
            );
            CREATE INDEX group_members_person ON group_members (person_id);
            CREATE TABLE tasks (
                id bigserial PRIMARY KEY,
                number varchar(20) NOT NULL UNIQUE,
                change varchar(20) NOT NULL,
                kind varchar(20) NOT NULL,
                title varchar(200) NOT NULL,
                text text NOT NULL DEFAULT '',
                person_id bigint REFERENCES people (id),
                group_id bigint REFERENCES groups (id),
                holder_id bigint REFERENCES people (id),
                state varchar(10) NOT NULL,
                due_on date,
                priority varchar(10) NOT NULL,
                estimate_hours integer,
                result text NOT NULL DEFAULT '',
                source varchar(200) UNIQUE,
                made_by bigint NOT NULL REFERENCES people (id),
                made_at timestamptz NOT NULL,
                ended_at timestamptz,
                version integer NOT NULL DEFAULT 1,
                CONSTRAINT tasks_for CHECK (num_nonnulls(person_id, group_id) = 1),
                CONSTRAINT tasks_state CHECK (state IN ('open', 'claimed', 'done', 'withdrawn')),
                CONSTRAINT tasks_holder CHECK (
                    (state <> 'open' OR holder_id IS NULL) AND (state NOT IN ('claimed', 'done') OR holder_id IS NOT NULL)
                )
            );
            CREATE INDEX tasks_holder ON tasks (holder_id) WHERE state = 'claimed';
            CREATE INDEX tasks_open ON tasks (group_id) WHERE state = 'open';
            COMMENT ON COLUMN tasks.change IS 'number of the report, request or order';
            COMMENT ON COLUMN tasks.source IS 'what it was made of, so that it is made once; null: by hand';
            CREATE TABLE task_checks (
                task_id bigint NOT NULL REFERENCES tasks (id),
                place integer NOT NULL,
                text varchar(200) NOT NULL,
                ticked_by bigint REFERENCES people (id),
                ticked_at timestamptz,
                PRIMARY KEY (task_id, place)
            );
            CREATE TABLE task_waits (
                task_id bigint NOT NULL REFERENCES tasks (id),
                for_id bigint NOT NULL REFERENCES tasks (id),
                PRIMARY KEY (task_id, for_id),
                CHECK (task_id <> for_id)
            );
            CREATE INDEX task_waits_for ON task_waits (for_id);
            CREATE TABLE task_comments (
                id bigserial PRIMARY KEY,
                task_id bigint NOT NULL REFERENCES tasks (id),
                person_id bigint NOT NULL REFERENCES people (id),
                text text NOT NULL,
                made_at timestamptz NOT NULL
            );
            CREATE INDEX task_comments_task ON task_comments (task_id);
            INSERT INTO number_ranges (name, prefix, width, next) VALUES ('task', 'T-', 5, 1);
        ");
    }
};
