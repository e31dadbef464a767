<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Only what a decision itself made affected is no longer affected when it is taken back. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('reach_decisions', function (Blueprint $table): void {
            $table->boolean('added')->default(false)->comment('whether the item became affected by this decision');
        });
    }
};
