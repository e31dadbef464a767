<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // Files are rows of the database: any machine may work on them, and a backup holds them.
        Schema::create('stored_files', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->binary('content');
        });
        Schema::create('imports', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->string('subject', 20);
            $table->string('file', 200);
            $table->foreignUuid('file_id')->constrained('stored_files');
            $table->string('sha256', 64);
            $table->date('first_day');
            $table->string('state', 20)->default('waiting');
            $table->integer('rows')->default(0)->comment('read so far');
            $table->integer('fault_count')->default(0);
            $table->jsonb('faults')->default('[]')->comment('the first of them: row, column, reason');
            $table->string('outcome', 500)->default('');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('asked_at');
            $table->timestampTz('ended_at')->nullable();
        });
        DB::statement(
            "ALTER TABLE imports ADD CONSTRAINT imports_state CHECK (state IN ('waiting','checking','writing','done','refused','failed','cancelled'))",
        );
    }
};
