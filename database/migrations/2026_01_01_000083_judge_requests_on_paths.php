<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A path judges orders or requests; a request goes on one from its finding on. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE approval_paths
                ADD COLUMN judges varchar(10) NOT NULL DEFAULT 'orders' CHECK (judges IN ('orders', 'requests'));
            ALTER TABLE change_requests
                ADD COLUMN path_id bigint REFERENCES approval_paths (id),
                ADD COLUMN path_by_rule boolean NOT NULL DEFAULT true,
                ADD COLUMN facts jsonb NOT NULL DEFAULT '{}',
                ADD COLUMN assessed_at timestamptz;
            COMMENT ON COLUMN change_requests.path_id IS 'on which it is judged; null: one person decides';
            COMMENT ON COLUMN change_requests.path_by_rule IS 'whether a rule chooses the path, until the first signature';
            COMMENT ON COLUMN change_requests.facts IS 'on which the steps of its path depend, as Fact names them';
            COMMENT ON COLUMN change_requests.assessed_at IS 'since when it is being judged';
            ALTER TABLE signatures
                ALTER COLUMN order_id DROP NOT NULL,
                ADD COLUMN request_id bigint REFERENCES change_requests (id),
                ADD CONSTRAINT signatures_of_one CHECK (num_nonnulls(order_id, request_id) = 1);
            CREATE INDEX signatures_request ON signatures (request_id) WHERE request_id IS NOT NULL;
            CREATE TABLE request_actors (
                request_id bigint NOT NULL REFERENCES change_requests (id),
                person_id bigint NOT NULL REFERENCES people (id),
                PRIMARY KEY (request_id, person_id)
            );
            CREATE INDEX request_actors_person ON request_actors (person_id);
            COMMENT ON TABLE request_actors IS 'who can judge a request on its path now';
            UPDATE roles SET abilities = abilities || '[\"judge_request\"]'
                WHERE NOT jsonb_exists(abilities, 'judge_request')
                AND jsonb_exists_any(abilities, ARRAY ['decide_request', 'sign_order', 'answer_question']);
        ");
    }
};
