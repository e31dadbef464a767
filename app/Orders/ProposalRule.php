<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Models\ChangeOrder;
use App\People\Ability;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;

/**
 * Who may do what with the lines that a request proposes: its author, and who coordinates orders, until the board has decided. The board
 * decides about what it saw.
 */
final readonly class ProposalRule
{
    /**
     * @param  ChangeOrder  $proposal  goes by the number of its request
     * @return ?string why not; null when they may
     */
    public static function refusal(OrderAct $act, Person $by, ChangeOrder $proposal): ?string
    {
        if ($act !== OrderAct::Plan && $act !== OrderAct::Revise) {
            return "{$proposal->number} is a request: what it proposes is no order yet.";
        }

        return self::refusalOf($by, ChangeRequest::query()->where('number', $proposal->number)->firstOrFail());
    }

    /** @return ?string why the person may not propose anything for the request; null when they may */
    public static function refusalOf(Person $by, ChangeRequest $request): ?string
    {
        return match (true) {
            !$request->state->isUndecided() => "{$request->number} is decided or has an order: what it proposes stays as it is.",
            !$by->mayDo(Ability::EditLines, $request->number) => 'Your role does not allow this.',
            $request->raised_by !== $by->id && !$by->mayDo(Ability::PlanOrder, $request->number)
                => "Only who raised {$request->number} or a coordinator says what it proposes.",
            default => null,
        };
    }
}
