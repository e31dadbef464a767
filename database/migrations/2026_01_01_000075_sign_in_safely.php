<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Passwords that are set by a mail, second factors, and since when somebody is signed in. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE password_reset_tokens (
                email varchar(200) PRIMARY KEY,
                token varchar(255) NOT NULL,
                created_at timestamptz
            );
            COMMENT ON COLUMN password_reset_tokens.email IS 'the sign-in name: two people may share an address';
            CREATE TABLE second_factors (
                person_id bigint PRIMARY KEY REFERENCES people (id),
                secret text NOT NULL,
                confirmed_at timestamptz,
                last_step bigint,
                recovery_codes jsonb NOT NULL DEFAULT '[]'
            );
            COMMENT ON COLUMN second_factors.secret IS 'encrypted with the key of the application';
            COMMENT ON COLUMN second_factors.confirmed_at IS 'when a first code was right; null: it is not asked for yet';
            COMMENT ON COLUMN second_factors.last_step IS 'half minutes since 1970 of the code that was taken last: none is taken twice';
            COMMENT ON COLUMN second_factors.recovery_codes IS 'SHA-256 of those that are left';
            ALTER TABLE roles ADD COLUMN second_factor boolean NOT NULL DEFAULT false;
            COMMENT ON COLUMN roles.second_factor IS 'whether its people must sign in with one';
            ALTER TABLE sessions ADD COLUMN signed_in_at timestamptz NOT NULL DEFAULT now();
        ");
    }
};
