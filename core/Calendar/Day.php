<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Calendar;

use Orthotaxis\Core\Refusal;

/** A calendar day without time or zone. Days are read and written as in ISO 8601: 2027-03-01. */
final readonly class Day implements \Stringable
{
    private function __construct(private string $iso) {}

    /** @throws Refusal when the text is no day of the calendar */
    public static function parse(string $iso, string $place = 'date'): self
    {
        if (preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $iso, $read) !== 1 || !checkdate((int) $read[2], (int) $read[3], (int) $read[1])) {
            throw Refusal::at($place, 'Write the day as year-month-day, such as 2027-03-01.');
        }

        return new self($iso);
    }

    public static function of(\DateTimeInterface $moment): self
    {
        return new self($moment->format('Y-m-d'));
    }

    /** Days since 1970-01-01. */
    public function number(): int
    {
        return intdiv((new \DateTimeImmutable($this->iso, new \DateTimeZone('UTC')))->getTimestamp(), 86_400);
    }

    /** 1 for Monday to 7 for Sunday. */
    public function weekday(): int
    {
        // The first day of 1970 was a Thursday.
        return (((($this->number() + 3) % 7) + 7) % 7) + 1;
    }

    public function plusDays(int $days): self
    {
        $date = new \DateTimeImmutable($this->iso);

        return new self($date->modify(sprintf('%+d days', $days))->format('Y-m-d'));
    }

    public function isBefore(self $other): bool
    {
        return strcmp($this->iso, $other->iso) < 0;
    }

    public function equals(self $other): bool
    {
        return $this->iso === $other->iso;
    }

    /** As it is read: 26 Nov 2026. */
    public function spelled(): string
    {
        return (new \DateTimeImmutable($this->iso))->format('j M Y');
    }

    public function __toString(): string
    {
        return $this->iso;
    }
}
