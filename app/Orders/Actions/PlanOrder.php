<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Days\Today;
use App\Ledger\Ledger;
use App\Orders\Duties\Duties;
use App\Orders\Events\OrderPlanned;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\Paths\RuleForOrder;
use App\Paths\Judges;
use App\Paths\Models\ApprovalPath;
use App\People\Ability;
use App\People\Models\Person;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\EffectiveDate;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Rights\Duty;

/** Sets what the order is called and about, how urgent it is, when it takes effect, who edits and who signs. */
final readonly class PlanOrder
{
    public function __construct(private OrderReader $orders, private RuleForOrder $rule, private Ledger $ledger) {}

    /**
     * @param  array<string, ?string>  $fields  title, description, priority, effective_on, editor, signer; people by sign-in name; path by
     *     its code, or ApprovalPath::BY_RULE
     */
    public function plan(Person $by, string $number, array $fields, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $fields, $version): void {
            $order = ChangeOrder::hold($number);
            $order->mustBeAt($version);
            $this->change($by, $order, $fields);
        });
    }

    /**
     * @param  ChangeOrder  $order  held
     * @param  array<string, ?string>  $fields
     *
     * @throws Refusal at the field that cannot be so
     */
    public function change(Person $by, ChangeOrder $order, array $fields): void
    {
        self::mustBeOpen($order);
        $order->fill(array_intersect_key($fields, ['title' => true, 'description' => true, 'priority' => true]));
        if (array_key_exists('editor', $fields)) {
            $order->editor_id = self::person(
                'editor',
                $fields['editor'],
                Ability::ReviseStructure,
                Duty::Edit,
                $order,
                'may not revise structures',
            );
        }
        if (array_key_exists('signer', $fields)) {
            $order->signer_id = self::person('signer', $fields['signer'], Ability::SignOrder, Duty::Sign, $order, 'may not sign orders');
        }
        if (array_key_exists('path', $fields)) {
            $order->path_by_rule = $fields['path'] === ApprovalPath::BY_RULE;
            $order->path_id = $order->path_by_rule ? $this->rule->of($order)?->id : self::path($fields['path']);
        }
        if (array_key_exists('effective_on', $fields)) {
            $order->effective_on = $fields['effective_on'] === null ? null : (string) Day::parse($fields['effective_on'], 'effective_on');
        }
        $core = $this->orders->toCore($order);
        $fault =
            array_key_exists('effective_on', $fields) && $core->effectiveOn !== null ? EffectiveDate::fault($core, Today::day()) : null;
        if ($fault !== null) {
            throw Refusal::at('effective_on', $fault);
        }
        if ($core->signer !== null && in_array($core->signer, $core->proposers(), true)) {
            throw Refusal::at('signer', 'The originator or an editor cannot sign. Name another person.');
        }
        $order->version++;
        $order->save();
        event(new OrderPlanned($by->login, $order->number, $fields));
    }

    public static function mustBeOpen(ChangeOrder $order): void
    {
        $order->mustGoOn();
        if (!$order->state->allowsPlanning()) {
            throw Refusal::at('order', 'The order is locked: it is in review or released.');
        }
    }

    private static function path(?string $code): ?int
    {
        if ($code === null || $code === '') {
            return null;
        }
        $path = ApprovalPath::offered(Judges::Orders)->where('code', $code)->first();

        return $path->id ?? throw Refusal::at('path', 'There is no such approval path for orders.');
    }

    private static function person(string $place, ?string $login, Ability $ability, Duty $duty, ChangeOrder $order, string $otherwise): ?int
    {
        if ($login === null) {
            return null;
        }
        $person =
            Person::query()->where('login', $login)->where('active', true)->first() ??
            throw Refusal::at($place, "Nobody here signs in as {$login}.");

        $bar = app(Duties::class)->barred($duty, $order)[$person->id] ?? null;
        if ($bar !== null) {
            throw Refusal::at($place, "{$person->name} {$bar->does()}, so another person must {$duty->task()}.");
        }

        return $person->mayDo($ability, $order->number) ? $person->id : throw Refusal::at($place, "{$person->name} {$otherwise}.");
    }
}
