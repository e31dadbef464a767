<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** So that one whose worker was killed is told as broken off within minutes, and not when the queue gives it up. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('imports', function (Blueprint $table): void {
            $table->timestampTz('seen_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('imports', function (Blueprint $table): void {
            $table->dropColumn('seen_at');
        });
    }
};
