<?php

declare(strict_types=1);

namespace App\Orders\DesignModel;

use App\Ledger\Ledger;
use App\Orders\Actions\HeldWork;
use App\Orders\Events\ModelPartWanted;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\People\Models\Person;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;

/** What design models show in an assembly and its structure is not to have: an envelope, a dummy, a screw of the supplier's. */
final readonly class UnwantedParts
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  list<string>  $assemblies  numbers
     * @return array<array-key, array<array-key, true>> by numbers of assembly and component, or what the model calls that
     */
    public static function of(array $assemblies): array
    {
        $rows = DB::table('unwanted_in_models AS u')
            ->join('items AS i', 'i.id', '=', 'u.item_id')
            ->whereIn('i.number', $assemblies)
            ->get(['i.number', 'u.component']);
        $unwanted = [];
        foreach ($rows as $row) {
            $unwanted[$row->number][$row->component] = true;
        }

        return $unwanted;
    }

    /** @throws Refusal when the person cannot decide on it under the order now */
    public function set(Person $by, string $number, string $assembly, string $component, bool $unwanted): void
    {
        $this->ledger->together(static function () use ($by, $number, $assembly, $component, $unwanted): void {
            $order = HeldWork::openOrder($number);
            OrderPolicy::refusal(OrderAct::Plan, $by, $order) === null || OrderPolicy::check(OrderAct::Revise, $by, $order, 'editor');
            $item =
                Item::query()->where('number', $assembly)->first() ??
                throw Refusal::at('assembly', "There is no item {$assembly}: what is new in it is decided on once it has a number.");
            $of = ['item_id' => $item->id, 'component' => $component];
            $done = $unwanted
                ? DB::table('unwanted_in_models')->insertOrIgnore([...$of, 'person_id' => $by->id])
                : DB::table('unwanted_in_models')->where($of)->delete();
            if ($done > 0) {
                event(new ModelPartWanted($by->login, $number, assembly: $assembly, component: $component, wanted: !$unwanted));
            }
        });
    }
}
