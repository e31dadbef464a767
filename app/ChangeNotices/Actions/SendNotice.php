<?php

declare(strict_types=1);

namespace App\ChangeNotices\Actions;

use App\ChangeNotices\Events\NoticeSent;
use App\ChangeNotices\Models\ChangeNotice;
use App\ChangeNotices\Models\NoticeCopy;
use App\ChangeNotices\RecipientReader;
use App\Ledger\Ledger;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;

/** Sends a change notice on demand: to others besides, or once more to whoever has not acknowledged it. */
final readonly class SendNotice
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  list<string>  $to  sign-in names, and groups as group: and their code; none: whoever has to acknowledge it and has not
     * @param  bool  $acknowledge  whether those who are named are asked to; who is asked already stays so
     *
     * @throws Refusal when it goes to nobody
     */
    public function send(Person $by, string $number, array $to, bool $acknowledge): void
    {
        $this->ledger->together(static function () use ($by, $number, $to, $acknowledge): void {
            $notice = ChangeNotice::query()->with('order')->where('number', $number)->lockForUpdate()->firstOrFail();
            $people = $to === [] ? self::waiting($notice) : self::named($to);
            if ($people === []) {
                throw Refusal::at('to', $to === [] ? 'Nobody has to acknowledge it any more.' : 'Nobody is in this group.');
            }
            $now = CarbonImmutable::now();
            DB::table('change_notice_copies')->upsert(
                array_map(
                    static fn(int $person): array => [
                        'notice_id' => $notice->id,
                        'person_id' => $person,
                        'lists' => '[]',
                        'acknowledge' => $acknowledge,
                        'sent_at' => $now,
                    ],
                    $people,
                ),
                ['notice_id', 'person_id'],
                [
                    'sent_at' => $now,
                    'times_sent' => DB::raw('change_notice_copies.times_sent + 1'),
                    'acknowledge' => DB::raw('change_notice_copies.acknowledge OR excluded.acknowledge'),
                ],
            );
            /** @var list<string> $logins */
            $logins = Person::query()->whereIn('id', $people)->orderBy('login')->pluck('login')->all();
            event(new NoticeSent($by->login, $notice->order->number, $notice->number, $logins));
        });
    }

    /** @return list<int> */
    private static function waiting(ChangeNotice $notice): array
    {
        return array_values(
            NoticeCopy::waiting()->where('notice_id', $notice->id)->get()->map(static fn(NoticeCopy $one): int => $one->person_id)->all(),
        );
    }

    /**
     * @param  list<string>  $to
     * @return list<int>
     */
    private static function named(array $to): array
    {
        $people = RecipientReader::people($to);
        foreach ($to as $at => $name) {
            isset($people[$name]) || throw Refusal::at("to.{$at}", 'There is no such person or group.');
        }

        return array_values(array_unique(array_merge(...array_values($people))));
    }
}
