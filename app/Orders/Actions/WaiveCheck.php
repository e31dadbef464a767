<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\CheckWaived;
use App\Orders\Events\WaiverWithdrawn;
use App\Orders\JudgedOrders;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderWaiver;
use App\Orders\OrderView;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Readiness\Check;
use Orthotaxis\Core\Refusal;

/**
 * Lets a check of an order go, with a reason, before it is judged: whoever signs sees what was let go and why. Whoever edits the order does
 * not.
 */
final readonly class WaiveCheck
{
    public function __construct(private JudgedOrders $orders, private Ledger $ledger) {}

    /**
     * @param  string  $fault  that was on screen
     *
     * @throws Refusal when it cannot be let go, holds by now, or is another than on screen
     */
    public function waive(Person $by, string $number, string $check, string $fault, string $reason, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $check, $fault, $reason, $version): void {
            $order = self::open($number, $version);
            if ($order->editor_id === $by->id) {
                throw Refusal::at('check', 'The editor of an order lets none of its checks go.');
            }
            $found = array_filter(
                OrderView::checks($this->orders->of($order)),
                static fn(Check $one): bool => $one->waivable !== '' && $one->waivable === $check,
            );
            $now = array_values($found)[0] ?? throw Refusal::at('check', 'There is no such check to let go: it holds, or it has to.');
            if ($now->reason !== $fault) {
                throw Refusal::at('check', "It reads otherwise by now: {$now->reason}");
            }
            self::end($order, $check);
            OrderWaiver::query()->create([
                'order_id' => $order->id,
                'condition' => $check,
                'fault' => $fault,
                'reason' => $reason,
                'person_id' => $by->id,
                'waived_at' => CarbonImmutable::now(),
            ]);
            $order->update(['version' => $version + 1]);
            event(new CheckWaived($by->login, $number, check: $check, fault: $fault, reason: $reason));
        });
    }

    public function withdraw(Person $by, string $number, string $check, int $version): void
    {
        $this->ledger->together(static function () use ($by, $number, $check, $version): void {
            $order = self::open($number, $version);
            if (self::end($order, $check) === 0) {
                throw Refusal::at('check', 'Nobody has let this check go.');
            }
            $order->update(['version' => $version + 1]);
            event(new WaiverWithdrawn($by->login, $number, $check));
        });
    }

    private static function open(string $number, int $version): ChangeOrder
    {
        $order = ChangeOrder::hold($number);
        $order->mustBeAt($version);
        PlanOrder::mustBeOpen($order);

        return $order;
    }

    private static function end(ChangeOrder $order, string $check): int
    {
        return OrderWaiver::query()
            ->where('order_id', $order->id)
            ->where('condition', $check)
            ->whereNull('withdrawn_at')
            ->update(['withdrawn_at' => CarbonImmutable::now()]);
    }
}
