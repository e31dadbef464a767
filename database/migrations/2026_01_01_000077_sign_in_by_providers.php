<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Who is who at a provider of sign-ins. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE identities (
                issuer varchar(200) NOT NULL,
                subject varchar(255) NOT NULL,
                person_id bigint NOT NULL REFERENCES people (id),
                linked_at timestamptz NOT NULL DEFAULT now(),
                PRIMARY KEY (issuer, subject)
            );
            CREATE INDEX identities_person ON identities (person_id);
            COMMENT ON TABLE identities IS 'a subject never changes, as an address may: found by the address once, known by the subject since';
        ");
    }
};
