<?php

declare(strict_types=1);

use App\People\Ability;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Roles and what they allow are data; they begin as the product ships them. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE roles (
                id bigserial PRIMARY KEY,
                code varchar(30) NOT NULL UNIQUE,
                name varchar(80) NOT NULL,
                abilities jsonb NOT NULL,
                plants jsonb NOT NULL DEFAULT '[]',
                categories jsonb NOT NULL DEFAULT '[]',
                retired boolean NOT NULL DEFAULT false,
                version integer NOT NULL DEFAULT 1
            );
            COMMENT ON COLUMN roles.plants IS 'codes; none: it holds at all plants';
            COMMENT ON COLUMN roles.categories IS 'codes, each with all below it; none: it holds for all';
            ALTER TABLE people ADD COLUMN version integer NOT NULL DEFAULT 1;
        ");
        foreach (config()->array('abilities') as $code => $abilities) {
            DB::table('roles')->insert([
                'code' => $code,
                'name' => ucfirst(str_replace('_', ' ', $code)),
                'abilities' => json_encode(array_map(static fn(Ability $ability): string => $ability->value, $abilities)),
            ]);
        }
    }
};
