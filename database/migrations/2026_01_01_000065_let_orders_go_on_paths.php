<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Paths of several steps on which orders are judged, who is away and who stands in, and who can act on an order now. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE approval_paths (
                id bigserial PRIMARY KEY,
                code varchar(30) NOT NULL,
                version integer NOT NULL,
                name varchar(80) NOT NULL,
                steps jsonb NOT NULL,
                retired boolean NOT NULL DEFAULT false,
                made_by bigint NOT NULL REFERENCES people (id),
                made_at timestamptz NOT NULL,
                UNIQUE (code, version)
            );
            COMMENT ON TABLE approval_paths IS 'a row a version; an order goes on the one it was given';
            ALTER TABLE change_orders
                ADD COLUMN path_id bigint REFERENCES approval_paths (id),
                ADD COLUMN facts jsonb NOT NULL DEFAULT '{}';
            COMMENT ON COLUMN change_orders.path_id IS 'null: one person signs';
            COMMENT ON COLUMN change_orders.facts IS 'on which the steps of its path depend, as they were when it was sent to review';
            ALTER TABLE signatures DROP CONSTRAINT signatures_meaning;
            ALTER TABLE signatures
                ADD CONSTRAINT signatures_meaning CHECK (meaning IN ('signed', 'sent_back', 'skipped', 'reassigned')),
                ADD COLUMN step integer NOT NULL DEFAULT 0,
                ADD COLUMN for_id bigint REFERENCES people (id),
                ADD COLUMN stage integer NOT NULL DEFAULT 0,
                ADD COLUMN given_to jsonb NOT NULL DEFAULT '[]',
                ADD COLUMN said varchar(20) NOT NULL DEFAULT 'approved';
            COMMENT ON COLUMN signatures.for_id IS 'for whom a stand-in signed';
            COMMENT ON COLUMN signatures.stage IS 'to which it was sent back; 0: to the editor';
            COMMENT ON COLUMN signatures.said IS 'what the signature means: reviewed, approved, responsible';
            CREATE TABLE absences (
                id bigserial PRIMARY KEY,
                person_id bigint NOT NULL REFERENCES people (id),
                deputy_id bigint REFERENCES people (id),
                first_day date NOT NULL,
                last_day date NOT NULL,
                CHECK (first_day <= last_day),
                CHECK (person_id <> deputy_id)
            );
            CREATE INDEX absences_person ON absences (person_id);
            CREATE TABLE order_actors (
                order_id bigint NOT NULL REFERENCES change_orders (id),
                person_id bigint NOT NULL REFERENCES people (id),
                PRIMARY KEY (order_id, person_id)
            );
            CREATE INDEX order_actors_person ON order_actors (person_id);
            COMMENT ON TABLE order_actors IS 'who can sign an order that is in review now';
            INSERT INTO order_actors SELECT id, signer_id FROM change_orders WHERE state = 'in_review' AND signer_id IS NOT NULL;
            CREATE OR REPLACE VIEW acting_on_orders AS
                SELECT id AS order_id, editor_id AS person_id FROM change_orders WHERE state = 'revising' AND editor_id IS NOT NULL
                UNION ALL SELECT a.order_id, a.person_id FROM order_actors a JOIN change_orders o ON o.id = a.order_id AND o.state = 'in_review';
            CREATE OR REPLACE VIEW people_of_orders AS
                SELECT id AS order_id, author_id AS person_id FROM change_orders
                UNION SELECT id, editor_id FROM change_orders WHERE editor_id IS NOT NULL
                UNION SELECT id, signer_id FROM change_orders WHERE signer_id IS NOT NULL
                UNION SELECT order_id, person_id FROM order_actors
                UNION SELECT order_id, person_id FROM signatures;
        ");
    }
};
