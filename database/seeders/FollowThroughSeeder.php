<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\FollowThrough\Actions\ReadOldDocuments;
use App\FollowThrough\Actions\SeeToDocuments;
use App\FollowThrough\Models\OldDocument;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;

/** What planning still has of what the released orders replaced: some of it decided, one seen to, the rest open. */
final class FollowThroughSeeder extends Seeder
{
    public function run(): void
    {
        $mira = Person::query()->where('login', 'mira.okafor')->firstOrFail();
        $act = app(SeeToDocuments::class);
        foreach (ChangeOrder::query()->where('state', OrderState::Released)->orderBy('id')->get() as $order) {
            app(ReadOldDocuments::class)($order->id);
            $ids = OldDocument::query()
                ->where('order_id', $order->id)
                ->whereNotNull('proposed')
                ->orderBy('id')
                ->pluck('id')
                ->map(intval(...));
            $decided = array_values($ids->take(intdiv($ids->count(), 2))->all());
            if ($decided === []) {
                continue;
            }
            $act->decide(
                $mira,
                $order->number,
                $decided,
                way: null,
                asProposed: true,
                owner: 'tomas.lind',
                due: Day::of(CarbonImmutable::today()->addDays(5)),
                note: '',
            );
            $act->seeTo($mira, $order->number, array_slice($decided, 0, 1), 'Counted on the shelf: there is none left.');
        }
    }
}
