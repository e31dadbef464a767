<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Notice;

/** How soon a notice goes out by mail as well: at once, or together with others of the hour or of the day. */
enum Pace: string
{
    case AtOnce = 'at_once';
    case Hourly = 'hourly';
    case Daily = 'daily';
    /** In the product only. */
    case Never = 'never';

    /** The mail of a day goes out at this hour. */
    private const HOUR = 7;

    /** What holds until somebody says otherwise: what one has to act on at once, what one may like to know once a day. */
    public static function usual(Cause $cause): self
    {
        return match ($cause) {
            Cause::ToDo, Cause::Mentioned, Cause::Informed => self::AtOnce,
            Cause::TakesPart, Cause::Watches => self::Daily,
        };
    }

    /**
     * When the mail for something that happened then is due.
     *
     * @param  \DateTimeImmutable  $at  in the time zone of whoever is told
     * @return ?\DateTimeImmutable null: none is sent
     */
    public function due(\DateTimeImmutable $at): ?\DateTimeImmutable
    {
        $morning = $at->setTime(self::HOUR, 0);

        return match ($this) {
            self::AtOnce => $at,
            self::Hourly => $at->setTime((int) $at->format('G') + 1, 0),
            self::Daily => $at < $morning ? $morning : $morning->modify('+1 day'),
            self::Never => null,
        };
    }
}
