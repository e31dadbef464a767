<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the coordinator takes in or leaves out of all that a request would touch. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('reach_decisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('request_id')->constrained('change_requests');
            $table->string('subject', 120)->comment('what the row is about: the reason and a number');
            $table->boolean('taken');
            $table->string('reason', 500)->default('');
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('decided_at')->useCurrent();
            $table->unique(['request_id', 'subject']);
        });
    }
};
