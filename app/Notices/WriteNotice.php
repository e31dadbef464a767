<?php

declare(strict_types=1);

namespace App\Notices;

use App\Notices\Jobs\MailNotices;
use App\Notices\Models\Notice;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Orthotaxis\Core\Notice\Cause;
use Orthotaxis\Core\Notice\Pace;

/** Writes down what people are told of, and when a mail of it is due to each. */
final readonly class WriteNotice
{
    /** Under which name people are told of what nobody did. */
    public const BY_ITSELF = 'orthotaxis';

    /** Characters of what was said. */
    private const ABOUT = 400;

    /**
     * @param  string  $change  number; empty: it is of none
     * @param  string  $path  of the page on which it is seen
     * @param  string  $title  of the change, or the name of what it is about
     * @param  string  $actor  sign-in name of who did it, or the name of a system
     * @param  array<int, Cause>  $people  why, by id; one at least
     */
    public static function write(
        ToldAct $act,
        string $change,
        string $path,
        string $title,
        string $about,
        string $actor,
        array $people,
    ): void {
        $now = CarbonImmutable::now();
        $notice = Notice::query()->create([
            'act' => $act,
            'change' => $change,
            'path' => $path,
            'title' => $title,
            'about' => Str::limit($about, self::ABOUT),
            'actor' => $actor,
            'happened_at' => $now,
        ]);
        $said = Paces::of(array_keys($people));
        $rows = [];
        foreach ($people as $person => $cause) {
            $pace = $said[$person][$cause->value] ?? Pace::usual($cause);
            $rows[] = [
                'notice_id' => $notice->id,
                'person_id' => $person,
                'cause' => $cause->value,
                'told_at' => $now,
                'mail_due_at' => $pace->due($now),
            ];
            if ($pace === Pace::AtOnce) {
                MailNotices::dispatch($person);
            }
        }
        DB::table('notice_readers')->insert($rows);
    }
}
