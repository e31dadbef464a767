<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Pages that somebody keeps at hand. The address holds all of a view, so a kept page is a saved view too. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('favourites', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people');
            $table->string('address', 1000);
            $table->string('name', 120);
            $table->timestampTz('kept_at')->useCurrent();
            $table->unique(['person_id', 'address']);
        });
    }
};
