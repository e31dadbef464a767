<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Of each released revision, a digest of what planning's copy should say of it: it never changes, and is reckoned once. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared('
            CREATE TABLE content_digests (
                content_id bigint PRIMARY KEY REFERENCES contents ON DELETE CASCADE,
                key text COLLATE "C" NOT NULL UNIQUE,
                rows integer NOT NULL CHECK (rows > 0),
                sha256 char(64) NOT NULL
            );
        ');
    }
};
