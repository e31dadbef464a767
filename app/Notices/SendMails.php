<?php

declare(strict_types=1);

namespace App\Notices;

use App\Notices\Mail\NoticesMail;
use App\Notices\Models\NoticeReader;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;

/** Sends what is due by mail, all that is due for a person in one. What does not get out stays due. */
final readonly class SendMails
{
    private const AT_ONCE = 200;

    /**
     * @return int how many notices went out
     *
     * @throws TransportExceptionInterface when the mail server does not take it
     */
    public function to(Person $person): int
    {
        return DB::transaction(static function () use ($person): int {
            // Whoever else sends to them at this moment has these rows: they are left to them.
            /** @var Collection<int, NoticeReader> $due */
            $due = self::due()
                ->where('person_id', $person->id)
                ->with('notice')
                ->orderBy('notice_id')
                ->limit(self::AT_ONCE)
                ->lock('FOR UPDATE SKIP LOCKED')
                ->get();
            if ($due->isEmpty()) {
                return 0;
            }
            $names = Person::query()
                ->whereIn('login', $due->pluck('notice.actor')->unique())
                ->pluck('name', 'login')
                ->all();
            Mail::to($person->email, $person->name)->send(new NoticesMail($person->name, $due, $names));
            NoticeReader::query()
                ->where('person_id', $person->id)
                ->whereIn('notice_id', $due->pluck('notice_id'))
                ->update(['mailed_at' => CarbonImmutable::now()]);

            return $due->count();
        });
    }

    /** @return Builder<NoticeReader> */
    public static function due(): Builder
    {
        return NoticeReader::query()->whereNull('mailed_at')->where('mail_due_at', '<=', CarbonImmutable::now());
    }
}
