<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** In which order the board takes the requests that await its decision. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('change_requests', function (Blueprint $table): void {
            $table->unsignedInteger('meeting_place')->nullable()->comment('1, 2, 3 …; empty: after those that have one');
        });
    }
};
