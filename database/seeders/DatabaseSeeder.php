<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Dossier\RequestPaths\KeptRequestActors;
use App\Orders\Paths\KeptActors;
use Illuminate\Database\Seeder;

/** The demo: Quillback Field Instruments, who build river-water samplers. All of it is invented. */
final class DatabaseSeeder extends Seeder
{
    public function run(): void
    {
        // Of changes that were closed long ago nobody is told any more.
        config()->set('notices.tell', false);
        $this->call([
            PeopleSeeder::class,
            GroupSeeder::class,
            CatalogueSeeder::class,
            StructureSeeder::class,
            PlantSeeder::class,
            PlanningSeeder::class,
            ClosedChangesSeeder::class,
            PlantStructureSeeder::class,
            DocumentSeeder::class,
            PlanningCopySeeder::class,
        ]);
        config()->set('notices.tell', true);
        $this->call([
            OpenChangesSeeder::class,
            DraftSheetSeeder::class,
            FormSeeder::class,
            EveryStateSeeder::class,
            TaskSeeder::class,
            PathSeeder::class,
            SubordinateSeeder::class,
            DiscussionSeeder::class,
            ChangeNoticeSeeder::class,
            RequestPathSeeder::class,
            NoticeSeeder::class,
            RoleSeeder::class,
            SystemsSeeder::class,
            FollowThroughSeeder::class,
            VerificationSeeder::class,
            PackageSeeder::class,
        ]);
        // Who is away today was not away on the days of the story.
        app(KeptActors::class)->keepAll();
        app(KeptRequestActors::class)->keepAll();
    }
}
