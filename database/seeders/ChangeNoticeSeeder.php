<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\ChangeNotices\Actions\AcknowledgeNotice;
use App\ChangeNotices\Actions\IssueNotice;
use App\ChangeNotices\Actions\SetDistributionList;
use App\ChangeNotices\Models\ChangeNotice;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\Date;
use Orthotaxis\Core\Change\OrderState;

/** To whom change notices go, those of the orders that are released, and who has read them: some have not, and one is late. */
final class ChangeNoticeSeeder extends Seeder
{
    /** Code => name, plants, products, categories, recipients, and the work days in which they acknowledge; none: they are only told. */
    private const LISTS = [
        'tarn' => ['Production and planning, Tarn', ['Tarn'], [], [], ['tomas.lind', 'samir.bello'], 3],
        'weir' => ['Production and planning, Weir', ['Weir'], [], [], ['samir.bello', 'tomas.lind'], 3],
        'service' => ['Service and spares', [], ['110-0001', '110-0002', '110-0003', '110-0004', '100-0034'], [], ['clara.fenn'], 5],
        'purchasing' => ['Purchasing', [], [], [], ['group:purchasing'], null],
        'papers' => ['Document control', [], [], ['papers'], ['group:document_control'], null],
    ];

    public function run(): void
    {
        $people = Person::query()->get()->keyBy('login');
        foreach (self::LISTS as $code => [$name, $plants, $products, $categories, $recipients, $days]) {
            app(SetDistributionList::class)->set(
                $people['ivo.tanner'],
                $code,
                [
                    'name' => $name,
                    'plants' => $plants,
                    'products' => $products,
                    'categories' => $categories,
                    'recipients' => $recipients,
                    'acknowledge' => $days !== null,
                    'days' => $days,
                    'retired' => false,
                ],
                null,
            );
        }
        foreach (ChangeOrder::query()->where('state', OrderState::Released)->orderBy('released_at')->get() as $order) {
            $released = $order->released_at ?? throw new \LogicException("{$order->number} is released.");
            Date::setTestNow($released->addMinutes(2));
            $notice = app(IssueNotice::class)->issue($people['mira.okafor'], $order->number);
            Date::setTestNow($released->addHours(5));
            app(AcknowledgeNotice::class)->opened($people['samir.bello'], $notice->number);
            Date::setTestNow($released->addHours(26));
            self::read($people['tomas.lind'], $notice);
            Date::setTestNow();
        }
    }

    private static function read(Person $person, ChangeNotice $notice): void
    {
        if ($notice->copies()->where('person_id', $person->id)->where('acknowledge', true)->exists()) {
            app(AcknowledgeNotice::class)->acknowledge($person, $notice->number, $notice->sha256);
        }
    }
}
