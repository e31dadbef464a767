<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Requests that bring a file wait here until a worker has read it, and their answers until they are fetched. A refused import keeps its
 * marked file.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('readings', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('person_id')->constrained('people');
            $table->text('address');
            $table->jsonb('input');
            $table->jsonb('files');
            $table->smallInteger('status')->nullable();
            $table->text('answer')->nullable();
            $table->timestampTz('asked_at');
            $table->timestampTz('ended_at')->nullable();
            $table->index(['person_id', 'asked_at']);
        });
        Schema::table('imports', static function (Blueprint $table): void {
            $table->uuid('marked_id')->nullable();
        });
    }
};
