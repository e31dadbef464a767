<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('comparison_files', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->string('name', 200);
            $table->jsonb('lines')->comment('parent => lines, each with its fields as text');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('brought_at');
        });
    }
};
