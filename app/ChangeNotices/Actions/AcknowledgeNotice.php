<?php

declare(strict_types=1);

namespace App\ChangeNotices\Actions;

use App\ChangeNotices\Events\NoticeAcknowledged;
use App\ChangeNotices\Models\ChangeNotice;
use App\ChangeNotices\Models\NoticeCopy;
use App\Ledger\Ledger;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Refusal;

/** What somebody does with the change notice that they were sent: opens it, says that they have read it. */
final readonly class AcknowledgeNotice
{
    public function __construct(private Ledger $ledger) {}

    /** The first time counts. Nothing, for whom it was not sent to. */
    public function opened(Person $by, string $number): void
    {
        self::copy($by, self::notice($number))
            ->whereNull('opened_at')
            ->update(['opened_at' => CarbonImmutable::now()]);
    }

    /**
     * Once; done twice it stays as it was.
     *
     * @param  string  $sha256  of the notice that was on screen
     *
     * @throws Refusal when it was not sent to them, or is not the one that they saw
     */
    public function acknowledge(Person $by, string $number, string $sha256): void
    {
        $this->ledger->together(static function () use ($by, $number, $sha256): void {
            $notice = self::notice($number);
            $copy = self::copy($by, $notice)->lockForUpdate()->first();
            if ($copy === null) {
                throw Refusal::at('notice', "{$notice->number} was not sent to you: there is nothing to acknowledge.");
            }
            if ($notice->sha256 !== $sha256) {
                throw Refusal::at('sha256', 'This is not the notice that was issued. Open it again.');
            }
            if ($copy->acknowledged_at !== null) {
                return;
            }
            $now = CarbonImmutable::now();
            self::copy($by, $notice)->update(['acknowledged_at' => $now, 'opened_at' => $copy->opened_at ?? $now]);
            event(new NoticeAcknowledged($by->login, $notice->order->number, $notice->number, $notice->sha256));
        });
    }

    private static function notice(string $number): ChangeNotice
    {
        return ChangeNotice::query()->with('order')->where('number', $number)->firstOrFail();
    }

    /** @return Builder<NoticeCopy> */
    private static function copy(Person $by, ChangeNotice $notice): Builder
    {
        return NoticeCopy::query()->where('notice_id', $notice->id)->where('person_id', $by->id);
    }
}
