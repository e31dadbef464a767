<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Assessment;

use Orthotaxis\Core\Calendar\Day;

/** How one function stands to one item: the sum of what it was asked. */
enum Standing: string
{
    case NotAsked = 'not_asked';
    case Overdue = 'overdue';
    case Waiting = 'waiting';
    case Answered = 'answered';
    case NoEffect = 'no_effect';

    /**
     * What is overdue counts before what waits, what waits before what is answered; no effect is it only when every answer
     * says so. A day that is due is not overdue before it has passed.
     *
     * @param  list<array{QuestionState, Day}>  $questions  with the day each is due
     */
    public static function of(array $questions, Day $today): self
    {
        $asked = array_filter($questions, static fn(array $one): bool => $one[0] !== QuestionState::Withdrawn);
        $waiting = array_filter($asked, static fn(array $one): bool => $one[0] === QuestionState::Waiting);

        return match (true) {
            $asked === [] => self::NotAsked,
            array_filter($waiting, static fn(array $one): bool => $one[1]->isBefore($today)) !== [] => self::Overdue,
            $waiting !== [] => self::Waiting,
            array_filter($asked, static fn(array $one): bool => $one[0] === QuestionState::Answered) !== [] => self::Answered,
            default => self::NoEffect,
        };
    }
}
