<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Discussion\Actions\Discuss;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Date;

/** What people say on the changes of the story, and what they have agreed on. */
final class DiscussionSeeder extends Seeder
{
    /** On what, how many minutes ago, who, what, and whether it is pinned. */
    private const SAID = [
        [
            'ECR-00096',
            45,
            'clara.fenn',
            'Two more rivers with silt this week. @mira.okafor can this be taken before the board meets?',
            false,
        ],
        ['ECR-00096', 30, 'samir.bello', 'The rollers take a wall of 2.4 mm with the 0.4 mm ring; tried on three heads.', false],
        ['ECR-00096', 20, 'mira.okafor', 'Then it is tube and ring together, one order for both.', true],
        [
            'ECO-00086',
            1560,
            'edda.roth',
            'The small outline needs the test points moved by 2 mm. @samir.bello does the needle bed allow it?',
            false,
        ],
        ['ECO-00086', 15, 'samir.bello', 'It does, up to 3 mm.', false],
        ['200-0040', 3600, 'petra.quist', 'The maker asks for a year of notice before the last order of the thin wall.', true],
    ];

    /** What Edda shows of her board. */
    private static function layout(): UploadedFile
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'orthotaxis-layout-');
        file_put_contents(
            $path,
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 40"><rect x="2" y="2" width="56" height="36" fill="none" stroke="black"/>' .
                '<circle cx="20" cy="20" r="2"/><circle cx="22" cy="26" r="2" fill="none" stroke="black"/><text x="26" y="22" font-size="5">TP4</text></svg>',
        );

        return new UploadedFile($path, 'test-points.svg', test: true);
    }

    public function run(): void
    {
        $people = Person::query()->get()->keyBy('login');
        foreach (self::SAID as [$on, $minutes, $who, $text, $pinned]) {
            Date::setTestNow(CarbonImmutable::now()->subMinutes($minutes));
            $comment = app(Discuss::class)->say($people[$who], $on, $text, $who === 'edda.roth' ? [self::layout()] : []);
            if ($pinned) {
                app(Discuss::class)->pin($people[$who], $comment->id, true);
            }
            Date::setTestNow();
        }
    }
}
