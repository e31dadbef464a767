<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Days\Today;
use App\Verification\OurCopy;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;

/** What hand-overs of the past have told the planning stand-in, of all items that it knows. */
final class PlanningCopySeeder extends Seeder
{
    public function run(OurCopy $copy): void
    {
        $day = (string) Today::day();
        $known = array_map(
            strval(...),
            DB::table('items')->whereNotIn('number', PlanningSeeder::UNKNOWN)->pluck('number')->values()->all(),
        );
        Http::withToken(config()->string('orthotaxis.planning.token'))
            ->timeout(60)
            ->post(config()->string('orthotaxis.planning.url') . '/load', [
                'today' => $day,
                'items' => [],
                'more' => true,
                'copy' => $copy->of($known, $day),
            ])
            ->throw();
    }
}
