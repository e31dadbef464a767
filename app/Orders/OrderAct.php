<?php

declare(strict_types=1);

namespace App\Orders;

use App\People\Ability;
use Orthotaxis\Core\Rights\Duty;

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

    /** What one person may have to leave to another; null: anybody who may. */
    public function duty(): ?Duty
    {
        return match ($this) {
            self::Plan, self::Submit, self::SendBack => null,
            self::Revise => Duty::Edit,
            self::Sign => Duty::Sign,
            self::Release => Duty::Release,
            self::Close => Duty::Close,
        };
    }
}
