<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        DB::statement('CREATE SEQUENCE hand_over_number');

        Schema::create('handovers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained('change_orders');
            $table->unsignedBigInteger('number')->unique();
            $table->string('name', 120)->unique()->comment('the name of its files without ending; also its idempotency key');
            $table->string('state', 20)->default('waiting');
            $table->timestampTz('written_at');
            $table->timestampTz('answered_at')->nullable();
        });
        DB::statement(
            "ALTER TABLE handovers ADD CONSTRAINT handovers_state CHECK (state IN ('waiting','taken','partly_refused','refused','unanswered'))",
        );

        Schema::create('handover_files', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('handover_id')->constrained('handovers');
            $table->string('format', 10);
            $table->text('content');
            $table->string('sha256', 64);
            $table->unique(['handover_id', 'format']);
        });

        Schema::create('handover_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('handover_id')->constrained('handovers');
            $table->unsignedInteger('number');
            $table->jsonb('record');
            $table->string('answer', 20)->default('waiting');
            $table->string('reason', 500)->default('');
            $table->unique(['handover_id', 'number']);
        });

        Schema::create('outbox', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('handover_id')->constrained('handovers');
            $table->unsignedInteger('tries')->default(0);
            $table->timestampTz('queued_at');
            $table->timestampTz('due_at');
            $table->timestampTz('delivered_at')->nullable();
            $table->string('last_error', 1000)->default('');
        });
        DB::statement('CREATE INDEX outbox_due ON outbox (due_at) WHERE delivered_at IS NULL');

        Schema::create('exposure_memory', function (Blueprint $table): void {
            $table->foreignId('item_id')->primary()->constrained('items');
            $table->jsonb('rows');
            $table->timestampTz('fetched_at');
        });

        Schema::create('ledger', function (Blueprint $table): void {
            $table->unsignedBigInteger('number')->primary();
            $table->string('at', 40);
            $table->string('actor', 60);
            $table->string('act', 60);
            $table->string('subject', 80)->index();
            $table->text('details');
            $table->string('before', 64);
            $table->string('hash', 64);
        });

        Schema::create('ledger_head', function (Blueprint $table): void {
            $table->boolean('singleton')->primary()->default(true);
            $table->unsignedBigInteger('count')->default(0);
            $table->string('hash', 64);
        });
        DB::statement("INSERT INTO ledger_head (hash) VALUES (repeat('0', 64))");
    }
};
