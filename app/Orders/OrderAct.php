<?php

declare(strict_types=1);

namespace App\Orders;

use App\People\Ability;

/** What can be done to one order. */
enum OrderAct: string
{
    /** Day, people, items, opening for revision, adoption, withdrawal. */
    case Plan = 'plan';
    case Revise = 'revise';
    case Submit = 'submit';
    case SendBack = 'send_back';
    case Sign = 'sign';
    case Release = 'release';
    case Close = 'close';

    /** What a person's role has to allow first. */
    public function ability(): Ability
    {
        return match ($this) {
            self::Plan => Ability::PlanOrder,
            self::Revise => Ability::ReviseStructure,
            self::Submit => Ability::SubmitOrder,
            self::SendBack => Ability::ReturnOrder,
            self::Sign => Ability::SignOrder,
            self::Release => Ability::ReleaseOrder,
            self::Close => Ability::CloseOrder,
        };
    }
}
