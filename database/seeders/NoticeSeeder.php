<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Notices\Models\NoticeReader;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/** What the story has told people: they have read what is older than a few days, and no mail is sent of it any more. */
final class NoticeSeeder extends Seeder
{
    private const FRESH_DAYS = 4;

    /** Who watches what, besides what they take part in. */
    private const WATCHES = ['mira.okafor' => 'ECO-00085', 'clara.fenn' => 'ECR-00096', 'tomas.lind' => 'ECO-00085'];

    public function run(): void
    {
        $now = CarbonImmutable::now();
        NoticeReader::query()->update(['mail_due_at' => null]);
        NoticeReader::query()
            ->where('told_at', '<', $now->subDays(self::FRESH_DAYS))
            ->update(['read_at' => $now->subDays(1)]);
        foreach (self::WATCHES as $login => $change) {
            DB::table('watches')->insert(['person_id' => Person::query()->where('login', $login)->valueOrFail('id'), 'change' => $change]);
        }
    }
}
