<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\OrderDoneSaid;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\People\Models\Person;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Refusal;

/** Says what is done to items of an order, in the languages of the documents: it stands in the history block of their sheets. */
final readonly class SayWhatIsDone
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  list<array{item: string, language: string, text: string}>  $texts  an empty one: nothing is said in the language
     *
     * @throws Refusal at every text of an item that is not on the order, or stays as it is
     */
    public function __invoke(Person $by, string $number, array $texts, int $version): void
    {
        $this->ledger->together(static function () use ($by, $number, $texts, $version): void {
            $order = ChangeOrder::hold($number);
            $order->mustBeAt($version);
            PlanOrder::mustBeOpen($order);
            if (OrderPolicy::refusal(OrderAct::Plan, $by, $order) !== null) {
                OrderPolicy::check(OrderAct::Revise, $by, $order);
            }
            $rows = $order->items()->with('item')->get()->keyBy('item.number');
            $reasons = $done = [];
            foreach ($texts as $at => ['item' => $item, 'language' => $language, 'text' => $text]) {
                $row = $rows[$item] ?? null;
                if ($row === null || $row->outcome === Outcome::Keep) {
                    $reasons["texts.{$at}.item"] = $row === null ? "{$item} is not on this order." : "{$item} stays as it is.";

                    continue;
                }
                $done[$item] = [...$done[$item] ?? $row->done, $language => $text];
            }
            if ($reasons !== []) {
                throw Refusal::because($reasons);
            }
            foreach ($done as $item => $said) {
                $rows[$item]?->update(['done' => (object) array_filter($said, static fn(string $text): bool => $text !== '')]);
            }
            $order->update(['version' => $version + 1]);
            event(new OrderDoneSaid($by->login, $number, $done));
        });
    }
}
