<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A question to everybody of a role is answered by whoever claims it. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE questions ADD COLUMN holder_id bigint REFERENCES people (id);
            COMMENT ON COLUMN questions.holder_id IS 'who has claimed it, of the role that is asked';
        ");
    }
};
