<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Templates of forms with what their tags mean, and the forms that were handed out. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('form_templates', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120)->unique();
            $table->jsonb('reasons')->comment('of requests that it is for; empty: of all');
            $table->string('file_name', 200);
            $table->foreignUuid('file_id')->constrained('stored_files');
            $table->string('sha256', 64);
            $table->jsonb('controls')->comment('tag, kind and title of each, in the order of the text');
            $table->jsonb('mapping')->comment('see docs/formats.md');
            $table->boolean('offered')->default(true);
            $table->timestampTz('file_changed_at');
            $table->unsignedInteger('version')->default(1);
        });
        Schema::create('handed_forms', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 20)->unique();
            $table->string('code', 40)->unique()->comment('number and a part that nobody guesses; stands in the file');
            $table->foreignId('request_id')->constrained('change_requests');
            $table->foreignId('template_id')->constrained('form_templates');
            $table->string('template_sha256', 64);
            $table->foreignUuid('file_id')->constrained('stored_files');
            $table->jsonb('handed')->comment('what stood in the controls, by tag');
            $table->string('state', 20)->default('out');
            $table->foreignId('handed_by')->constrained('people');
            $table->timestampTz('handed_at');
            $table->foreignId('settled_by')->nullable()->constrained('people');
            $table->timestampTz('settled_at')->nullable();
            $table->jsonb('taken')->nullable()->comment('what was taken in, and what stood there before');
            $table->index(['request_id', 'state']);
        });
        DB::statement("ALTER TABLE handed_forms ADD CONSTRAINT handed_forms_state CHECK (state IN ('out','taken_in','withdrawn'))");
        DB::table('number_ranges')->insertOrIgnore(['name' => 'form', 'prefix' => 'F-', 'width' => 5, 'next' => 1]);
    }
};
