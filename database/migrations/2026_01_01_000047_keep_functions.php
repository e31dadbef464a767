<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The functions of the company that a change is looked at by are for an administrator to set up, as sites, reasons and sources are. */
return new class extends Migration {
    private const FIRST = [
        'design' => 'Design',
        'manufacturing' => 'Manufacturing',
        'purchasing' => 'Purchasing',
        'quality' => 'Quality',
        'service' => 'Service',
        'finance' => 'Finance',
    ];

    public function up(): void
    {
        DB::statement('ALTER TABLE choices DROP CONSTRAINT choices_list');
        DB::statement("ALTER TABLE choices ADD CONSTRAINT choices_list CHECK (list IN ('site', 'reason', 'source', 'function'))");
        foreach (self::FIRST as $code => $name) {
            DB::table('choices')->insert(['list' => 'function', 'code' => $code, 'name' => $name]);
        }
    }
};
