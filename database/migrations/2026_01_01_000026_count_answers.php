<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('questions', static function (Blueprint $table): void {
            $table->integer('version')->default(0)->comment('how often it was answered: whoever answers names the one they saw');
        });
    }

    public function down(): void
    {
        Schema::table('questions', static function (Blueprint $table): void {
            $table->dropColumn('version');
        });
    }
};
