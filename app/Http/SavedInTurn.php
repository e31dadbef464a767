<?php

declare(strict_types=1);

namespace App\Http;

/** For records that several people save: whoever saves names the version they saw. */
trait SavedInTurn
{
    /** The record, held for this transaction; nobody else can save it meanwhile. */
    public static function hold(string $number): self
    {
        return self::query()->where('number', $number)->lockForUpdate()->firstOrFail();
    }

    /** What an act on it answers. */
    public static function done(string $number): Done
    {
        $version = self::query()->where('number', $number)->valueOrFail('version');

        return new Done($number, is_int($version) ? $version : throw new \LogicException('A version is a number.'));
    }

    /** @throws Stale when somebody else has saved since */
    public function mustBeAt(int $version): void
    {
        if ($this->version !== $version) {
            throw new Stale(
                "{$this->number} was changed by somebody else since you opened it. Look at it again; what you typed is still here.",
            );
        }
    }
}
