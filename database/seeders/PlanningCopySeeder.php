<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Days\Today;
use App\Verification\OurCopy;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\Http;

/** What hand-overs of the past have told the planning stand-in, of all items that it knows. */
final class PlanningCopySeeder extends Seeder
{
    public function run(OurCopy $copy): void
    {
        $day = (string) Today::day();
        $rows = [];
        foreach ($copy->parts($day) as $part) {
            array_push($rows, ...explode("\n", $part()->text));
        }
        $told = array_filter(
            $rows,
            static fn(string $row): bool => $row !== '' && !in_array(explode("\t", $row)[2], PlanningSeeder::UNKNOWN, true),
        );
        Http::withToken(config()->string('orthotaxis.planning.token'))
            ->timeout(60)
            ->post(config()->string('orthotaxis.planning.url') . '/load', [
                'today' => $day,
                'items' => [],
                'more' => true,
                'copy' => implode("\n", $told),
            ])
            ->throw();
    }
}
