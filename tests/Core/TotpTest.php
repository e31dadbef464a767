<?php

declare(strict_types=1);

use Orthotaxis\Core\SignIn\Base32;
use Orthotaxis\Core\SignIn\Totp;

const SECRETS = [
    'sha1' => '12345678901234567890',
    'sha256' => '12345678901234567890123456789012',
    'sha512' => '1234567890123456789012345678901234567890123456789012345678901234',
];

// The table of appendix B of RFC 6238.
it('gives the codes of the standard', function (int $time, string $hash, string $code): void {
    expect((new Totp(SECRETS[$hash], 8, $hash))->at($time))->toBe($code);
})->with([
    [59, 'sha1', '94287082'],
    [59, 'sha256', '46119246'],
    [59, 'sha512', '90693936'],
    [1_111_111_109, 'sha1', '07081804'],
    [1_111_111_109, 'sha256', '68084774'],
    [1_111_111_109, 'sha512', '25091201'],
    [1_111_111_111, 'sha1', '14050471'],
    [1_111_111_111, 'sha256', '67062674'],
    [1_111_111_111, 'sha512', '99943326'],
    [1_234_567_890, 'sha1', '89005924'],
    [1_234_567_890, 'sha256', '91819424'],
    [1_234_567_890, 'sha512', '93441116'],
    [2_000_000_000, 'sha1', '69279037'],
    [2_000_000_000, 'sha256', '90698825'],
    [2_000_000_000, 'sha512', '38618901'],
    [20_000_000_000, 'sha1', '65353130'],
    [20_000_000_000, 'sha256', '77737706'],
    [20_000_000_000, 'sha512', '47863826'],
]);

// Appendix D of RFC 4226: the first codes of a counter, which are those of the first half minutes of 1970.
it('counts as the standard that it stands on', function (): void {
    $codes = array_map(static fn(int $step): string => (new Totp(SECRETS['sha1']))->at($step * Totp::PERIOD), range(0, 9));
    expect($codes)->toBe(['755224', '287082', '359152', '969429', '338314', '254676', '287922', '162583', '399871', '520489']);
});

it('takes a code once, and of a clock that is half a minute off', function (): void {
    $totp = new Totp(SECRETS['sha1']);
    [$now, $step] = [1_000_000_020, intdiv(1_000_000_020, Totp::PERIOD)];
    expect($totp->stepOf($totp->at($now), $now))
        ->toBe($step)
        ->and($totp->stepOf($totp->at($now), $now, $step))
        ->toBeNull('taken already')
        ->and($totp->stepOf($totp->at($now - 30), $now, $step))
        ->toBeNull('older than the one that was taken')
        ->and($totp->stepOf($totp->at($now + 30), $now, $step))
        ->toBe($step + 1)
        ->and($totp->stepOf($totp->at($now - 30), $now))
        ->toBe($step - 1)
        ->and($totp->stepOf($totp->at($now - 60), $now))
        ->toBeNull()
        ->and($totp->stepOf($totp->at($now + 60), $now))
        ->toBeNull()
        ->and($totp->stepOf('', $now))
        ->toBeNull()
        ->and($totp->stepOf('28708', $now))
        ->toBeNull();
});

// Clause 10 of RFC 4648, without the filling signs.
it('writes bytes as the standard does', function (string $bytes, string $letters): void {
    expect(Base32::encode($bytes))->toBe($letters);
})->with([['', ''], ['f', 'MY'], ['fo', 'MZXQ'], ['foo', 'MZXW6'], ['foob', 'MZXW6YQ'], ['fooba', 'MZXW6YTB'], ['foobar', 'MZXW6YTBOI']]);

it('has an address that an authenticator reads', function (): void {
    expect((new Totp('foobar'))->address('Quillback Field', 'mira.okafor'))->toBe(
        'otpauth://totp/Quillback%20Field:mira.okafor?secret=MZXW6YTBOI&issuer=Quillback%20Field&digits=6&period=30',
    );
});
