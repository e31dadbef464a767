<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Reports, requests and orders refer to records of other processes, by kind, number and address; the kinds are set up. */
return new class extends Migration {
    private const FIRST = [
        'corrective_action' => 'Corrective action',
        'complaint' => 'Complaint',
        'audit' => 'Audit',
        'project' => 'Project',
        'supplier_notice' => 'Supplier notice',
    ];

    public function up(): void
    {
        DB::statement('ALTER TABLE choices DROP CONSTRAINT choices_list');
        DB::statement("ALTER TABLE choices ADD CONSTRAINT choices_list CHECK (list IN ('site', 'reason', 'source', 'function', 'record'))");
        foreach (self::FIRST as $code => $name) {
            DB::table('choices')->insert(['list' => 'record', 'code' => $code, 'name' => $name]);
        }
        DB::unprepared("
            CREATE TABLE record_references (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                change text NOT NULL,
                kind varchar(30) NOT NULL,
                number varchar(80) NOT NULL CHECK (number <> ''),
                address varchar(2000) NOT NULL DEFAULT '' CHECK (address = '' OR address ~ '^https?://'),
                person_id bigint NOT NULL REFERENCES people (id),
                made_at timestamptz NOT NULL,
                UNIQUE (change, kind, number)
            );
            COMMENT ON COLUMN record_references.change IS 'the number of a report, a request or an order: these never change';
            CREATE INDEX record_references_number ON record_references (upper(number));
        ");
    }
};
