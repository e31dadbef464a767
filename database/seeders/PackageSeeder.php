<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Packages\Actions\AskPackage;
use App\Packages\Jobs\MakePackage;
use App\Packages\Models\ReleasePackage;
use App\People\Models\Person;
use Illuminate\Database\Seeder;

/** The package of the folded bracket: its new drawing is stamped, and has an address. */
final class PackageSeeder extends Seeder
{
    public function run(AskPackage $ask): void
    {
        $ask(Person::query()->where('login', 'mira.okafor')->firstOrFail(), 'ECO-00082', 'en');
        app()->call([new MakePackage((int) ReleasePackage::query()->max('id')), 'handle']);
    }
}
