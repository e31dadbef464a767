<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What the coordinator asks specialists about one item of a request. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('questions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('request_id')->constrained('change_requests');
            $table->foreignId('item_id')->constrained('items');
            $table->string('function', 20);
            $table->string('topic', 20);
            $table->text('text');
            $table->foreignId('person_id')->nullable()->comment('who is asked; empty: all who have the role')->constrained('people');
            $table->string('role', 30)->nullable();
            $table->date('due_on');
            $table->string('state', 20)->default('waiting');
            $table->text('answer')->default('');
            $table->bigInteger('one_time')->nullable()->comment('ten-thousandths of the currency unit');
            $table->bigInteger('recurring')->nullable()->comment('the same, for one unit of the item');
            $table->foreignUuid('file_id')->nullable()->constrained('change_files')->nullOnDelete();
            $table->foreignId('asked_by')->constrained('people');
            $table->foreignId('answered_by')->nullable()->constrained('people');
            $table->timestampTz('asked_at');
            $table->timestampTz('answered_at')->nullable();
            $table->index(['request_id', 'item_id']);
            $table->index(['state', 'person_id']);
        });
        DB::statement(
            "ALTER TABLE questions ADD CONSTRAINT questions_state CHECK (state IN ('waiting','answered','no_effect','withdrawn'))",
        );
        DB::statement('ALTER TABLE questions ADD CONSTRAINT questions_to CHECK (num_nonnulls(person_id, role) = 1)');
    }
};
