<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('categories', function (Blueprint $table): void {
            $table->string('number_prefix', 20)->default('');
            $table->unsignedInteger('number_width')->default(6);
            $table->boolean('number_check')->default(false);
            $table->unsignedBigInteger('number_next')->default(1)->comment('given out: never goes back, so that a gap is never filled');
            $table->jsonb('asked')->default('[]')->comment('what its items are asked for: name, label, required');
        });
        DB::statement('CREATE INDEX items_category ON items (category_id)');
        DB::statement('ALTER TABLE categories ADD CONSTRAINT categories_width CHECK (number_width BETWEEN 1 AND 12)');
    }
};
