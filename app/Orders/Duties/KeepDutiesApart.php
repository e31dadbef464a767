<?php

declare(strict_types=1);

namespace App\Orders\Duties;

use App\Ledger\Act;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Orthotaxis\Core\Rights\Duty;

/** Undoes what somebody does of an order who may not, whatever way they came by: the last guard, in the transaction of the act. */
final readonly class KeepDutiesApart
{
    /** What the ledger calls them; some of it is done on floors above. */
    private const DUTIES = [
        // By then its requests are on it, also one that is added later.
        'request.ordered' => Duty::Originate,
        'order.check_waived' => Duty::Waive,
        'order.signed' => Duty::Sign,
        'order.released' => Duty::Release,
        'order.closed' => Duty::Close,
    ];

    public function __construct(private Duties $duties) {}

    public function handle(Act $act): void
    {
        $duty = self::DUTIES[$act->name()] ?? null;
        $by = $duty === null ? null : Person::query()->where('login', $act->by())->first();
        if ($duty !== null && $by !== null) {
            $number = $act->details()['order'] ?? $act->of();
            $this->duties->check($duty, $by, ChangeOrder::query()->where('number', $number)->firstOrFail());
        }
    }
}
