<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How each person has laid out each table: by its name, which columns are shown, in what order, and how wide. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('people', function (Blueprint $table): void {
            $table->jsonb('table_layouts')->default('{}');
        });
    }
};
