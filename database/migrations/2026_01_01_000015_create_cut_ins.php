<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Days chosen for cutting in, with what was asked and why: the last one counts, the others stay readable. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('cut_ins', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('request_id')->constrained('change_requests');
            $table->jsonb('asked')->comment('pairs and levers');
            $table->jsonb('found')->comment('what the plan said of the chosen day');
            $table->date('chosen_on');
            $table->string('reason', 2000);
            $table->foreignId('person_id')->constrained('people');
            $table->timestampTz('chosen_at');
            $table->index('request_id');
        });
        DB::unprepared('CREATE TRIGGER cut_ins_stay BEFORE UPDATE OR DELETE ON cut_ins FOR EACH ROW EXECUTE FUNCTION refuse_rewriting()');
    }
};
