<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Revision sequences by kind of item, saved work between releases, and lines that name one revision of their component. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('kind_sequences', function (Blueprint $table): void {
            $table->string('kind', 20)->primary();
            $table->string('sequence', 20);
        });
        Schema::table('categories', function (Blueprint $table): void {
            $table->string('sequence', 20)->nullable()->default(null)->comment('empty: as the kind of the item says')->change();
        });

        Schema::create('iterations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_item_id')->constrained('change_order_items')->cascadeOnDelete();
            $table->unsignedInteger('number')->comment('1, 2, 3 … within the item under its order');
            $table->string('note', 200)->default('');
            $table->foreignId('base_revision_id')->nullable()->constrained('revisions');
            $table->jsonb('edits')->comment('the numbers of the edits that held');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('saved_at');
            $table->unique(['order_item_id', 'number']);
        });

        Schema::table('structure_lines', function (Blueprint $table): void {
            $table
                ->foreignId('pinned_id')
                ->nullable()
                ->comment('the one revision of the component that goes in; else the one of the day')
                ->constrained('revisions');
        });
        DB::statement('CREATE INDEX structure_lines_pinned ON structure_lines (pinned_id) WHERE pinned_id IS NOT NULL');
    }
};
