<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What other systems than planning get of hand-overs: which entries and fields, as what, and when. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE handover_profiles (
                channel_id bigint PRIMARY KEY REFERENCES channels (id),
                moments jsonb NOT NULL,
                structures jsonb NOT NULL,
                plants jsonb NOT NULL,
                fields jsonb NOT NULL,
                format varchar(4) NOT NULL CHECK (format IN ('xml', 'json', 'csv')),
                file_name varchar(80) NOT NULL,
                last_number bigint NOT NULL DEFAULT 0
            );
            COMMENT ON COLUMN handover_profiles.moments IS 'released, taken, documents, corrected: when a file is written';
            COMMENT ON COLUMN handover_profiles.plants IS 'none: of all';
            COMMENT ON COLUMN handover_profiles.fields IS 'besides those that say what an entry is about; none: all';
            COMMENT ON COLUMN handover_profiles.last_number IS 'the running number of its last file';
        ");
    }
};
