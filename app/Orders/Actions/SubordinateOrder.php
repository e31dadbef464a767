<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\OrderFreed;
use App\Orders\Events\OrderSubordinated;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Subordination;
use Orthotaxis\Core\Refusal;

/** Makes an order subordinate to another, before which it is not released, or to none. */
final readonly class SubordinateOrder
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  bool  $together  whether it is released with its parent in one stroke
     *
     * @throws Refusal when the parent cannot be waited for, or that would be a circle
     */
    public function put(Person $by, string $number, string $parent, bool $together, int $version): void
    {
        $this->ledger->together(static function () use ($by, $number, $parent, $together, $version): void {
            self::oneAtATime();
            $order = ChangeOrder::hold($number);
            $order->mustBeAt($version);
            PlanOrder::mustBeOpen($order);
            $above = ChangeOrder::orders()->where('number', $parent)->first() ?? throw Refusal::at('parent', 'There is no such order.');
            if ($above->state->hasEnded()) {
                throw Refusal::at('parent', "{$parent} is closed or withdrawn: nothing waits for it.");
            }
            if ($together && !$above->state->isOpen()) {
                throw Refusal::at('parent', "{$parent} is released already: this order can only be released after it.");
            }
            Subordination::mustBeTree($number, $parent, self::parents());
            $order->update(['parent_id' => $above->id, 'with_parent' => $together, 'version' => $version + 1]);
            event(new OrderSubordinated($by->login, $number, $parent, $together));
        });
    }

    /** Until it is released: a parent that was withdrawn would hold it up for good. */
    public function free(Person $by, string $number, int $version): void
    {
        $this->ledger->together(static function () use ($by, $number, $version): void {
            self::oneAtATime();
            $order = ChangeOrder::hold($number);
            $order->mustBeAt($version);
            $parent = $order->parent ?? throw Refusal::at('parent', "{$number} is subordinate to none.");
            if (!$order->state->isOpen()) {
                throw Refusal::at('parent', "{$number} is released already.");
            }
            $order->update(['parent_id' => null, 'with_parent' => false, 'version' => $version + 1]);
            event(new OrderFreed($by->login, $number, $parent->number));
        });
    }

    /** Two that are tied at the same moment could make a circle that neither of them sees. */
    private static function oneAtATime(): void
    {
        DB::select("SELECT pg_advisory_xact_lock(hashtext('subordination'))");
    }

    /** @return array<string, string> by number, of orders that are not released yet: in a circle all would be */
    private static function parents(): array
    {
        /** @var array<string, string> */
        return DB::table('change_orders AS o')
            ->join('change_orders AS p', 'p.id', 'o.parent_id')
            ->whereIn('o.state', array_column(OrderState::open(), 'value'))
            ->selectRaw('o.number, p.number AS parent')
            ->pluck('parent', 'number')
            ->all();
    }
}
