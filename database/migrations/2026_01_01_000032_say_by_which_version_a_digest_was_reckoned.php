<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    /** "2:" and the digest; what was signed before has no number, which is the first version. */
    public function up(): void
    {
        Schema::table('signatures', static fn(Blueprint $table) => $table->string('digest', 70)->change());
    }
};
