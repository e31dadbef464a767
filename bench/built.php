<?php

declare(strict_types=1);

/* A product of 2,000 lines that a plant builds at ten operations, made where there is none yet; called by bin/bench. */

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Str;
use Orthotaxis\Core\Quantity\Quantity;

require dirname(__DIR__) . '/vendor/autoload.php';
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
const LINES = 2_000;

if (DB::table('items')->where('number', 'BUILT-2000')->exists()) {
    exit();
}
DB::table('choices')->insertOrIgnore(['list' => 'site', 'code' => 'Bench', 'name' => 'Bench']);
$item = DB::table('items')->insertGetId([
    'number' => 'BUILT-2000',
    'title' => 'Built of 2,000 lines',
    'kind' => 'assembly',
    'unit' => 'pc',
    'category_id' => DB::table('categories')->value('id'),
]);
$components = DB::table('items')
    ->where('id', '!=', $item)
    ->orderByDesc('id')
    ->limit(LINES)
    ->pluck('id')
    ->all();
$keys = array_map(static fn(): string => (string) Str::uuid7(), $components);
foreach (['engineering' => '', 'manufacturing' => 'Bench'] as $kind => $plant) {
    $content = DB::table('contents')->insertGetId([
        'item_id' => $item,
        'kind' => $kind,
        'plant' => $plant,
        'code' => 'A',
        'status' => 'in_review',
    ]);
    $rows = [];
    foreach ($components as $at => $component) {
        $rows[] = [
            'content_id' => $content,
            'line_key' => $plant === '' ? $keys[$at] : (string) Str::uuid7(),
            'find' => $at + 1,
            'component_id' => $component,
            'quantity' => Quantity::ONE,
            'unit' => 'pc',
            'operation' => $plant === '' ? null : 10 + 10 * ($at % 10),
            'takes_over' => $plant === '' ? null : $keys[$at],
        ];
    }
    foreach (array_chunk($rows, 500) as $some) {
        DB::table('structure_lines')->insert($some);
    }
    DB::table('contents')
        ->where('id', $content)
        ->update(['status' => 'released', 'effective_from' => '2020-01-01', 'released_at' => now()]);
}
