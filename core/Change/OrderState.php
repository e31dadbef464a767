<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/** The life of a change order, and before it of what a request proposes. */
enum OrderState: string
{
    /** The lines of a request as its author would have them: no order yet. What it holds is carried over into one. */
    case Proposed = 'proposed';
    case Planning = 'planning';
    case Revising = 'revising';
    case InReview = 'in_review';
    case Signed = 'signed';
    case Released = 'released';
    case Closed = 'closed';
    case Withdrawn = 'withdrawn';

    public function mayBecome(self $next): bool
    {
        return in_array(
            $next,
            match ($this) {
                self::Planning => [self::Revising, self::Withdrawn],
                self::Revising => [self::InReview, self::Withdrawn],
                self::InReview => [self::Signed, self::Revising],
                self::Signed => [self::Released, self::Revising],
                self::Released => [self::Closed],
                self::Proposed, self::Closed, self::Withdrawn => [],
            },
            true,
        );
    }

    /** Whether lines are edited under it now. */
    public function allowsEdits(): bool
    {
        return $this === self::Proposed || $this === self::Revising;
    }

    /** Whether what it holds may still come: its consequences are told, and whether something was released since. */
    public function isAhead(): bool
    {
        return $this === self::Proposed || $this->isOpen();
    }

    /** Until release the order may still change what is true; open orders on the same item can collide. */
    public function isOpen(): bool
    {
        return in_array($this, self::open(), true);
    }

    /** @return list<self> */
    public static function open(): array
    {
        return [self::Planning, ...self::editing()];
    }

    /** @return list<self> those in which its edits count as what is about to come: its items are being revised */
    public static function editing(): array
    {
        return [self::Revising, ...self::locked()];
    }

    /** Whether what it holds is judged, and must not change. */
    public function isLocked(): bool
    {
        return in_array($this, self::locked(), true);
    }

    /** @return list<self> */
    public static function locked(): array
    {
        return [self::InReview, self::Signed];
    }

    /** Whether nothing is left to do for it. */
    public function hasEnded(): bool
    {
        return in_array($this, self::ended(), true);
    }

    /** @return list<self> */
    public static function ended(): array
    {
        return [self::Closed, self::Withdrawn];
    }

    /** What the order names (items, date, people) may be changed. */
    public function allowsPlanning(): bool
    {
        return $this === self::Planning || $this === self::Revising;
    }
}
