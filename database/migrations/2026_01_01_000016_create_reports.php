<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Problem reports, what links them to requests, requests gathered and split, and files that belong to a report or request. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('problem_reports', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 20)->unique();
            $table->string('title', 200);
            $table->string('source', 30);
            $table->string('site', 30);
            $table->string('severity', 20);
            $table->text('description');
            $table->string('serial', 120)->default('')->comment('serial or lot numbers, as written on the unit');
            $table->string('state', 20)->default('open');
            $table->text('answer')->default('')->comment('the answer, or the question it was sent back with');
            $table->foreignId('same_as_id')->nullable()->constrained('problem_reports');
            $table->foreignId('raised_by')->constrained('people');
            $table->foreignId('settled_by')->nullable()->constrained('people');
            $table->timestampTz('raised_at');
            $table->timestampTz('settled_at')->nullable();
            $table->unsignedInteger('version')->default(1);
            $table->index(['state', 'severity']);
        });
        DB::statement(
            "ALTER TABLE problem_reports ADD COLUMN words tsvector GENERATED ALWAYS AS (to_tsvector('english', title || ' ' || description || ' ' || serial)) STORED",
        );
        DB::statement('CREATE INDEX problem_reports_full_text ON problem_reports USING gin (words)');
        Schema::create('problem_report_items', function (Blueprint $table): void {
            $table->foreignId('report_id')->constrained('problem_reports');
            $table->foreignId('item_id')->constrained('items');
            $table->primary(['report_id', 'item_id']);
            $table->index('item_id');
        });
        Schema::create('problem_report_requests', function (Blueprint $table): void {
            $table->foreignId('report_id')->constrained('problem_reports');
            $table->foreignId('request_id')->constrained('change_requests');
            $table->primary(['report_id', 'request_id']);
            $table->index('request_id');
        });
        Schema::table('change_requests', function (Blueprint $table): void {
            $table->foreignId('gathered_into_id')->nullable()->constrained('change_requests');
            $table->foreignId('split_from_id')->nullable()->constrained('change_requests');
        });
        Schema::create('change_files', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('report_id')->nullable()->constrained('problem_reports');
            $table->foreignId('request_id')->nullable()->constrained('change_requests');
            $table->string('role', 20);
            $table->string('name', 200);
            $table->string('media_type', 100);
            $table->unsignedInteger('bytes');
            $table->string('sha256', 64);
            $table->foreignUuid('file_id')->constrained('stored_files');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('brought_at')->useCurrent();
            $table->index('report_id');
            $table->index('request_id');
        });
        DB::statement("ALTER TABLE change_files ADD CONSTRAINT change_files_role CHECK (role IN ('evidence','mark_up','form','answer'))");
        DB::statement('ALTER TABLE change_files ADD CONSTRAINT change_files_subject CHECK (num_nonnulls(report_id, request_id) = 1)');
        DB::table('number_ranges')->insertOrIgnore(['name' => 'report', 'prefix' => 'PR-', 'width' => 5, 'next' => 1]);
    }
};
