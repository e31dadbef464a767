<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    /** What an edit says is read by the rules of its version; all there are so far are of the first. */
    public function up(): void
    {
        Schema::table('edits', static fn(Blueprint $table) => $table->unsignedSmallInteger('version')->default(1));
    }
};
