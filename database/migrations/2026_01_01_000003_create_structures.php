<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        DB::statement('CREATE EXTENSION IF NOT EXISTS btree_gist');
        DB::statement('CREATE EXTENSION IF NOT EXISTS pg_trgm');

        Schema::create('categories', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('parent_id')->nullable()->constrained('categories');
            $table->string('code', 20)->unique();
            $table->string('name', 120);
            $table->string('sequence', 20)->default('letters');
        });

        Schema::create('items', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 60)->unique();
            $table->string('title', 200);
            $table->string('kind', 20);
            $table->foreignId('category_id')->constrained('categories');
            $table->string('unit', 10);
            $table->string('supply', 20)->default('make');
            $table->boolean('sold')->default(false);
            $table->bigInteger('standard_cost')->nullable()->comment('ten-thousandths of the currency unit, for one unit');
            $table->integer('lead_time_days')->nullable();
            $table->string('supplier', 120)->nullable();
            $table->bigInteger('mass')->nullable()->comment('milligrams of one unit');
            $table->string('material', 120)->nullable();
            $table->jsonb('attributes')->default('{}');
            $table->timestampTz('created_at')->useCurrent();
        });
        DB::statement('CREATE INDEX items_words ON items USING gin ((number || \' \' || title) gin_trgm_ops)');

        Schema::create('revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('item_id')->constrained('items');
            $table->string('code', 20);
            $table->string('status', 20)->default('in_work');
            $table->integer('iteration')->default(1);
            $table->date('effective_from')->nullable();
            $table->date('effective_to')->nullable()->comment('the first day it no longer holds');
            $table->unsignedBigInteger('order_id')->nullable()->index();
            $table->foreignId('released_by')->nullable()->constrained('people');
            $table->timestampTz('released_at')->nullable();
            $table->string('reason', 500)->default('');
            $table->timestampTz('created_at')->useCurrent();
            $table->unique(['item_id', 'code']);
        });
        DB::statement(
            "ALTER TABLE revisions ADD CONSTRAINT revisions_status CHECK (status IN ('in_work','in_review','released','superseded','obsolete'))",
        );
        DB::statement(
            "ALTER TABLE revisions ADD CONSTRAINT revisions_dated CHECK (status IN ('in_work','in_review') OR effective_from IS NOT NULL)",
        );
        DB::statement(
            "ALTER TABLE revisions ADD CONSTRAINT revisions_one_on_a_day EXCLUDE USING gist (item_id WITH =, daterange(effective_from, effective_to) WITH &&) WHERE (status IN ('released','superseded','obsolete'))",
        );
        DB::statement("CREATE UNIQUE INDEX revisions_one_released ON revisions (item_id) WHERE status = 'released'");

        Schema::create('structure_lines', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('revision_id')->constrained('revisions');
            $table->string('kind', 20);
            $table->string('plant', 20)->default('');
            $table->uuid('line_key')->comment('the identity that survives revisions');
            $table->integer('find');
            $table->foreignId('component_id')->constrained('items');
            $table->bigInteger('quantity')->comment('millionths of the unit');
            $table->string('unit', 10);
            $table->text('designators')->default('');
            $table->string('notes', 500)->default('');
            $table->integer('operation')->nullable();
            $table->boolean('not_modelled')->default(false);
            $table->date('valid_from')->nullable();
            $table->date('valid_to')->nullable()->comment('the first day it no longer holds');
            $table->index(['component_id', 'kind']);
        });
        DB::statement(
            "ALTER TABLE structure_lines ADD CONSTRAINT structure_lines_kind CHECK (kind IN ('design','engineering','manufacturing'))",
        );
        DB::statement('ALTER TABLE structure_lines ADD CONSTRAINT structure_lines_quantity CHECK (quantity > 0)');
        DB::statement('ALTER TABLE structure_lines ADD CONSTRAINT structure_lines_find CHECK (find > 0)');
        // A line stands once on a day. Nearly all lines hold always: for them a plain index does it (a million are indexed
        // in seconds); for dated ones an exclusion constraint; a dated beside an undated one is refused by the trigger.
        DB::statement(
            'CREATE UNIQUE INDEX structure_lines_once ON structure_lines (revision_id, kind, plant, line_key, valid_from) NULLS NOT DISTINCT',
        );
        DB::statement(
            'ALTER TABLE structure_lines ADD CONSTRAINT structure_lines_once_on_a_day EXCLUDE USING gist (revision_id WITH =, kind WITH =, plant WITH =, line_key WITH =, daterange(valid_from, valid_to) WITH &&) WHERE (valid_from IS NOT NULL OR valid_to IS NOT NULL)',
        );
    }
};
