<?php

declare(strict_types=1);

namespace Database\Seeders;

use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/** When Tarn and Weir work, and their work centres. */
final class PlantSeeder extends Seeder
{
    /** Plant, code, name, rate of an hour in the currency. */
    private const WORK_CENTRES = [
        ['Tarn', 'CASE', 'Case assembly', 46],
        ['Tarn', 'FINAL', 'Final assembly', 52],
        ['Tarn', 'PACK', 'Packing', 38],
        ['Tarn', 'TEST', 'Leak and flow test', 61],
        ['Weir', 'BOARD', 'Board assembly', 58],
        ['Weir', 'CLEAN', 'Cleaning and greasing', 41],
        ['Weir', 'PUMP', 'Pump line', 49],
        ['Weir', 'TEST', 'Electrical test', 64],
    ];

    public function run(): void
    {
        $year = (int) CarbonImmutable::today()->format('Y');
        DB::table('plants')->insert([
            ['code' => 'Tarn', 'weekdays' => '[1, 2, 3, 4, 5]', 'shifts' => '06:00-14:00, 14:00-22:00'],
            ['code' => 'Weir', 'weekdays' => '[1, 2, 3, 4, 5]', 'shifts' => '07:00-15:30'],
        ]);
        foreach ([$year, $year + 1] as $one) {
            foreach (['Tarn', 'Weir'] as $plant) {
                DB::table('plant_days')->insert([
                    ['plant' => $plant, 'day' => "{$one}-01-01", 'name' => 'New Year'],
                    ['plant' => $plant, 'day' => "{$one}-05-01", 'name' => 'May Day'],
                    ['plant' => $plant, 'day' => "{$one}-12-25", 'name' => 'Christmas'],
                    ['plant' => $plant, 'day' => "{$one}-12-26", 'name' => 'Christmas'],
                ]);
            }
        }
        // Tarn is closed for two weeks of every July, from its second Monday on.
        foreach ([$year, $year + 1] as $one) {
            $monday = CarbonImmutable::parse("second monday of july {$one}");
            foreach ([0, 1, 2, 3, 4, 7, 8, 9, 10, 11] as $later) {
                DB::table('plant_days')->insert([
                    'plant' => 'Tarn',
                    'day' => $monday->addDays($later)->toDateString(),
                    'name' => 'Summer closing',
                ]);
            }
        }
        DB::table('work_centres')->insert(
            array_map(
                static fn(array $one): array => [
                    'plant' => $one[0],
                    'code' => $one[1],
                    'name' => $one[2],
                    'rate' => $one[3] * 10_000,
                ],
                self::WORK_CENTRES,
            ),
        );
    }
}
