<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Verification;

/**
 * Why planning's copy differs, as whoever answers for it reads it. ECO-00082 released the pump head G with four pins on line 10:
 *
 * - planning accepted the entry that says four and has three: somebody changed it there;
 * - planning rejected the entry: it never took it;
 * - the hand-over is on its way: it changed here, and planning will follow;
 * - no hand-over ever said it, since G was released before there were any: changed there when a verification has found G the same before,
 *   otherwise never taken.
 *
 * A line that is only there was put there by somebody. A revision that is only there, in force beside one that planning never took, is
 * there for that reason.
 */
enum Mover: string
{
    case There = 'there';
    case Never = 'never';
    case Here = 'here';

    /**
     * @param  ?string  $answer  taken, refused or waiting, of the last entry that said it; null: none did
     * @param  bool  $wasEqual  whether it was found the same once since the revision was released
     * @param  ?self  $successor  why the revision that follows is not there; null: it is
     */
    public static function of(CopyDifference $difference, ?string $answer, bool $wasEqual, ?self $successor = null): self
    {
        if ($difference->ours === null) {
            return $successor ?? self::There;
        }

        return match ($answer) {
            'taken' => self::There,
            'refused' => self::Never,
            'waiting' => self::Here,
            default => $wasEqual ? self::There : self::Never,
        };
    }
}
