<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('number_ranges', function (Blueprint $table): void {
            $table->string('name', 40)->primary();
            $table->string('prefix', 20);
            $table->unsignedInteger('width');
            $table->unsignedBigInteger('next');
        });

        Schema::create('change_requests', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 20)->unique();
            $table->string('title', 200);
            $table->string('reason', 30);
            $table->string('source', 30);
            $table->string('site', 30);
            $table->string('priority', 20);
            $table->text('description');
            $table->string('state', 20)->default('raised');
            $table->text('finding')->default('');
            $table->string('decision_reason', 2000)->default('');
            $table->foreignId('raised_by')->constrained('people');
            $table->foreignId('decided_by')->nullable()->constrained('people');
            $table->timestampTz('raised_at');
            $table->timestampTz('decided_at')->nullable();
            $table
                ->unsignedInteger('version')
                ->default(1)
                ->comment('rises with every save, so that nobody overwrites what they have not seen');
            $table->index(['state', 'priority']);
        });

        Schema::create('change_request_items', function (Blueprint $table): void {
            $table->foreignId('request_id')->constrained('change_requests');
            $table->foreignId('item_id')->constrained('items');
            $table->primary(['request_id', 'item_id']);
            $table->index('item_id');
        });

        Schema::create('change_orders', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 20)->unique();
            $table->string('title', 200);
            $table->text('description')->default('');
            $table->string('priority', 20);
            $table->string('state', 20)->default('planning');
            $table->date('effective_on')->nullable();
            $table->foreignId('author_id')->constrained('people');
            $table->foreignId('editor_id')->nullable()->constrained('people');
            $table->foreignId('signer_id')->nullable()->constrained('people');
            $table->timestampTz('raised_at');
            $table->timestampTz('sent_to_review_at')->nullable();
            $table->timestampTz('released_at')->nullable();
            $table->timestampTz('closed_at')->nullable();
            $table->unsignedInteger('version')->default(1);
            $table->index('state');
        });
        Schema::table('revisions', function (Blueprint $table): void {
            $table->foreign('order_id')->references('id')->on('change_orders');
        });

        Schema::create('change_order_requests', function (Blueprint $table): void {
            $table->foreignId('order_id')->constrained('change_orders');
            $table->foreignId('request_id')->constrained('change_requests');
            $table->primary(['order_id', 'request_id']);
            $table->index('request_id');
        });

        Schema::create('change_order_items', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained('change_orders');
            $table->foreignId('item_id')->constrained('items');
            $table->string('outcome', 20)->default('keep');
            $table->string('disposition', 20)->nullable();
            $table->foreignId('base_revision_id')->nullable()->constrained('revisions');
            $table->unique(['order_id', 'item_id']);
            $table->index('item_id');
        });

        Schema::create('edits', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_item_id')->constrained('change_order_items')->cascadeOnDelete();
            $table->unsignedInteger('number')->comment('1, 2, 3 … within the item');
            $table->string('structure', 20)->default('engineering');
            $table->string('operation', 20);
            $table->uuid('line_key');
            $table->jsonb('fields');
            $table->foreignId('author_id')->constrained('people');
            $table->timestampTz('made_at');
            $table->timestampTz('withdrawn_at')->nullable();
            $table->timestampTz('discarded_at')->nullable()->comment('withdrawn, and something else was done since: it cannot come back');
            $table->unique(['order_item_id', 'number']);
        });

        Schema::create('signatures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained('change_orders');
            $table->foreignId('person_id')->constrained('people');
            $table->string('meaning', 20);
            $table->string('reason', 2000)->default('');
            $table->string('digest', 64);
            $table->timestampTz('signed_at');
            $table->boolean('void')->default(false)->comment('the order was sent back after it was signed');
            $table->index('order_id');
        });
        DB::statement("ALTER TABLE signatures ADD CONSTRAINT signatures_meaning CHECK (meaning IN ('signed','sent_back'))");
    }
};
