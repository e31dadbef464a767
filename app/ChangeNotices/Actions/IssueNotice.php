<?php

declare(strict_types=1);

namespace App\ChangeNotices\Actions;

use App\ChangeNotices\Events\NoticeIssued;
use App\ChangeNotices\Models\ChangeNotice;
use App\ChangeNotices\NoticeWriter;
use App\ChangeNotices\RecipientReader;
use App\ChangeNotices\TouchedReader;
use App\Days\OfficeDays;
use App\Days\Today;
use App\Ledger\Ledger;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Release\Recipient;

/** Writes the notice of a released order, once, and sends it to everybody of the distribution lists that the change meets. */
final readonly class IssueNotice
{
    public function __construct(private OrderReader $orders, private TouchedReader $touched, private Ledger $ledger) {}

    /** @throws Refusal when the order is not released */
    public function issue(Person $by, string $number): ChangeNotice
    {
        return $this->ledger->together(function () use ($by, $number): ChangeNotice {
            $order = ChangeOrder::hold($number);
            $known = ChangeNotice::query()->where('order_id', $order->id)->first();
            if ($known !== null) {
                return $known;
            }
            if ($order->released_at === null) {
                throw Refusal::at('order', "{$number} is not released yet: its change notice goes out with the release.");
            }
            $core = $this->orders->toCore($order);
            $order->signatures->loadMissing('for');
            $touched = $this->touched->of($order, $core);
            $content = json_encode(
                NoticeWriter::write($order, $core, $touched->products, $by->name),
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
            );
            $notice = ChangeNotice::query()->create([
                'order_id' => $order->id,
                'number' => ChangeNotice::numberFor($number),
                'content' => $content,
                'sha256' => hash('sha256', $content),
                'issued_by' => $by->id,
                'issued_at' => CarbonImmutable::now(),
            ]);
            $recipients = Recipient::of(RecipientReader::rules(), $touched);
            self::send($notice, $recipients);
            event(new NoticeIssued($by->login, $number, $notice->number, $notice->sha256, self::logins(array_keys($recipients))));

            return $notice;
        });
    }

    /** @param  array<int, Recipient>  $recipients  by id of the person */
    private static function send(ChangeNotice $notice, array $recipients): void
    {
        $rows = [];
        foreach ($recipients as $person => $one) {
            $rows[] = [
                'notice_id' => $notice->id,
                'person_id' => $person,
                'lists' => json_encode($one->lists, JSON_THROW_ON_ERROR),
                'acknowledge' => $one->acknowledge,
                'due_on' => $one->days === null ? null : (string) OfficeDays::after(Today::day(), $one->days),
                'sent_at' => $notice->issued_at,
            ];
        }
        DB::table('change_notice_copies')->insert($rows);
    }

    /**
     * @param  list<int>  $people  ids
     * @return list<string>
     */
    private static function logins(array $people): array
    {
        /** @var list<string> */
        return Person::query()->whereIn('id', $people)->orderBy('login')->pluck('login')->all();
    }
}
