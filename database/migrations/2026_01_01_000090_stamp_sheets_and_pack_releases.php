<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A sheet has a private address, which its prints show as a code; all of a release is had as one package. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE sheet_addresses (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                file_id uuid NOT NULL REFERENCES item_files (id) ON DELETE CASCADE,
                key text NOT NULL,
                key_hash char(64) NOT NULL UNIQUE,
                made_by bigint REFERENCES people (id),
                made_at timestamptz NOT NULL,
                withdrawn_by bigint REFERENCES people (id),
                withdrawn_at timestamptz
            );
            COMMENT ON COLUMN sheet_addresses.key IS 'encrypted: prints made later show the same';
            COMMENT ON COLUMN sheet_addresses.made_by IS 'null: a package was made';
            CREATE UNIQUE INDEX sheet_addresses_one ON sheet_addresses (file_id) WHERE withdrawn_at IS NULL;

            CREATE TABLE release_packages (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                order_id bigint NOT NULL REFERENCES change_orders (id),
                language varchar(5) NOT NULL,
                state varchar(10) NOT NULL CHECK (state IN ('waiting', 'making', 'done', 'failed', 'cancelled')),
                asked_by bigint NOT NULL REFERENCES people (id),
                asked_at timestamptz NOT NULL,
                ended_at timestamptz,
                steps integer NOT NULL DEFAULT 0,
                steps_done integer NOT NULL DEFAULT 0,
                fault varchar(500) NOT NULL DEFAULT '',
                file_id uuid REFERENCES stored_files (id),
                bytes bigint NOT NULL DEFAULT 0,
                sha256 char(64)
            );
            CREATE INDEX release_packages_order ON release_packages (order_id, id);
            CREATE UNIQUE INDEX release_packages_one ON release_packages (order_id, language) WHERE state IN ('waiting', 'making');
        ");
    }
};
