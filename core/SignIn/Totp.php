<?php

declare(strict_types=1);

namespace Orthotaxis\Core\SignIn;

/**
 * Codes that an authenticator shows for half a minute each (RFC 6238 over RFC 4226; SHA-1 and six digits, which every authenticator
 * knows). It has no clock: what time it is comes in.
 */
final readonly class Totp
{
    /** Seconds for which a code is shown. */
    public const PERIOD = 30;

    /** @param  string  $secret  bytes */
    public function __construct(#[\SensitiveParameter] private string $secret, private int $digits = 6, private string $hash = 'sha1') {}

    /** @param  int  $time  seconds since 1970, UTC */
    public function at(int $time): string
    {
        return $this->ofStep(intdiv($time, self::PERIOD));
    }

    /**
     * The step to which a code belongs, to be remembered: a code counts once, so neither it nor an earlier one is taken again. A clock
     * that is one step off is put up with (RFC 6238, 5.2).
     *
     * @param  ?int  $after  the step of the code that was taken last
     */
    public function stepOf(string $code, int $time, ?int $after = null): ?int
    {
        $now = intdiv($time, self::PERIOD);
        foreach ([$now, $now - 1, $now + 1] as $step) {
            if (($after === null || $step > $after) && hash_equals($this->ofStep($step), $code)) {
                return $step;
            }
        }

        return null;
    }

    /** The address by which an authenticator takes the secret in. */
    public function address(string $issuer, string $account): string
    {
        return sprintf(
            'otpauth://totp/%s:%s?secret=%s&issuer=%1$s&digits=%d&period=%d',
            rawurlencode($issuer),
            rawurlencode($account),
            Base32::encode($this->secret),
            $this->digits,
            self::PERIOD,
        );
    }

    private function ofStep(int $step): string
    {
        $mac = hash_hmac($this->hash, pack('J', $step), $this->secret, true);
        $at = ord($mac[-1]) & 0xf;
        $number = (int) hexdec(bin2hex(substr($mac, $at, 4))) & 0x7fff_ffff;

        return str_pad((string) ($number % 10 ** $this->digits), $this->digits, '0', STR_PAD_LEFT);
    }
}
