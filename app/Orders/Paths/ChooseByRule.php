<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Ledger\Act;
use App\Orders\Events\PathChosen;
use App\Orders\Models\ChangeOrder;
use App\Paths\ChosenByRule;
use App\Paths\Judges;

/** A new order goes on the path that a rule chooses, and on another one when what it names changes, until somebody chooses by hand. */
final readonly class ChooseByRule
{
    private const MATTER = [
        'order.items_named',
        'order.item_named',
        'order.items_taken_off',
        'order.item_taken_off',
        'order.planned',
        'order.new_number_given',
        'order.new_number_taken_back',
    ];

    private const RAISED = 'order.raised';

    public function __construct(private RuleForOrder $rule) {}

    public function handle(Act $act): void
    {
        $isNew = $act->name() === self::RAISED;
        if (!$isNew && !in_array($act->name(), self::MATTER, true)) {
            return;
        }
        if ($isNew && !ChosenByRule::hasRules(Judges::Orders)) {
            return;
        }
        $order = ChangeOrder::orders()->where('number', $act->of())->first();
        if ($order === null || !($isNew || $order->path_by_rule) || !$order->state->allowsPlanning()) {
            return;
        }
        $path = $this->rule->of($order);
        // Its version stays: who planned it from the page as it was goes on so.
        ChangeOrder::query()
            ->whereKey($order->id)
            ->update(['path_by_rule' => true, 'path_id' => $path?->id]);
        if ($path?->id !== $order->path_id) {
            event(new PathChosen($act->by(), $order->number, $path?->code));
        }
    }
}
