<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What is usually done with what exists of the items of a category; and what somebody says of a request in place of what is computed. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('category_dispositions', function (Blueprint $table): void {
            $table->foreignId('category_id')->constrained('categories');
            $table->string('kind', 30);
            $table->string('disposition', 20);
            $table->bigInteger('per_unit')->nullable()->comment('ten-thousandths of the currency unit for one unit; empty: as usual');
            $table->primary(['category_id', 'kind']);
        });
        Schema::create('figures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('request_id')->constrained('change_requests');
            $table->string('kind', 20)->comment('disposition, one_time, recurring, demand');
            $table->string('subject', 120)->comment('item and kind of supply; what is paid for; item; product');
            $table->string('choice', 20)->nullable()->comment('the disposition');
            $table
                ->bigInteger('amount')
                ->nullable()
                ->comment('ten-thousandths of the currency unit; of a demand: millionths of a unit a year');
            $table->string('reason', 500);
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('set_at')->useCurrent();
            $table->unique(['request_id', 'kind', 'subject']);
        });
    }
};
