<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Form;

/** What becomes of what stands in a control when the form comes back. */
enum TagUse: string
{
    case Nothing = 'nothing';
    case Field = 'field';
    case Finding = 'finding';
    case Question = 'question';
    case Task = 'task';
    case Attachment = 'attachment';

    /** @return list<ControlKind> */
    public function kinds(): array
    {
        return match ($this) {
            self::Nothing => ControlKind::cases(),
            self::Field => [ControlKind::Text, ControlKind::Choice],
            self::Finding => [ControlKind::Text, ControlKind::Choice, ControlKind::Check, ControlKind::Date],
            self::Question, self::Task => [ControlKind::Check, ControlKind::Text],
            self::Attachment => [ControlKind::Picture],
        };
    }
}
