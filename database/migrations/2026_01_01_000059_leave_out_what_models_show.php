<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What a design model shows in an assembly, and nobody wants in its structure: on record, and not told again. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared('
            CREATE TABLE unwanted_in_models (
                item_id bigint NOT NULL REFERENCES items (id),
                component text NOT NULL,
                person_id bigint NOT NULL REFERENCES people (id),
                said_at timestamptz NOT NULL DEFAULT CURRENT_TIMESTAMP,
                PRIMARY KEY (item_id, component)
            );
        ');
    }
};
