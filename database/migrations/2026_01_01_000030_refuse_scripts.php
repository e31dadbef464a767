<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Files that carry scripts are refused: that one has some is nothing to remember. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('item_files', static fn(Blueprint $table) => $table->dropColumn('carries_script'));
    }
};
