<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Sites, reasons and sources are what an administrator sets up, and no longer what the program names. */
return new class extends Migration {
    private const FIRST = [
        'reason' => [
            'defect' => 'Defect',
            'safety' => 'Safety',
            'cost_saving' => 'Cost saving',
            'end_of_life' => 'End of life',
            'improvement' => 'Improvement',
            'regulation' => 'Regulation',
            'manufacturability' => 'Manufacturability',
        ],
        'source' => [
            'field' => 'Field',
            'shop_floor' => 'Shop floor',
            'supplier' => 'Supplier',
            'audit' => 'Audit',
            'sales' => 'Sales',
            'engineering' => 'Engineering',
        ],
    ];

    public function up(): void
    {
        Schema::create('choices', function (Blueprint $table): void {
            $table->id();
            $table->string('list', 20);
            $table->string('code', 30);
            $table->string('name', 80);
            $table->boolean('retired')->default(false);
            $table->integer('version')->default(1);
            $table->unique(['list', 'code']);
        });
        DB::statement("ALTER TABLE choices ADD CONSTRAINT choices_list CHECK (list IN ('site', 'reason', 'source'))");
        foreach (self::FIRST as $list => $names) {
            foreach ($names as $code => $name) {
                DB::table('choices')->insert(compact('list', 'code', 'name'));
            }
        }
        // Where there is work already, its sites stay: what they are called is for the administrator to say.
        DB::statement(
            "INSERT INTO choices (list, code, name) SELECT 'site', site, site FROM (
                SELECT site FROM change_requests UNION SELECT site FROM problem_reports UNION SELECT plant FROM structure_lines
            ) AS used (site) WHERE site <> '' ORDER BY site",
        );
    }

    public function down(): void
    {
        Schema::drop('choices');
    }
};
