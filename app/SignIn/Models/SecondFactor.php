<?php

declare(strict_types=1);

namespace App\SignIn\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Str;
use Orthotaxis\Core\SignIn\Base32;
use Orthotaxis\Core\SignIn\Totp;

/**
 * The authenticator of a person, and the codes for when it is lost. Both are taken once.
 *
 * @property int $person_id
 * @property string $secret  bytes, as hexadecimal digits
 * @property ?CarbonImmutable $confirmed_at
 * @property ?int $last_step
 * @property list<string> $recovery_codes  digests
 */
final class SecondFactor extends Model
{
    /** Bytes of a secret: as many as the digest has (RFC 4226, 4). */
    private const BYTES = 20;

    private const RECOVERY_CODES = 10;

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'person_id';

    protected $casts = ['secret' => 'encrypted', 'confirmed_at' => 'immutable_datetime', 'recovery_codes' => 'array'];

    /** Another secret, which counts from when a code of it is shown. */
    public static function begin(Person $person): self
    {
        return self::query()->updateOrCreate(
            ['person_id' => $person->id],
            ['secret' => bin2hex(random_bytes(self::BYTES)), 'confirmed_at' => null, 'last_step' => null, 'recovery_codes' => []],
        );
    }

    /** The one that is asked for when a person signs in. */
    public static function ofPerson(Person $person): ?self
    {
        return self::query()->whereNotNull('confirmed_at')->find($person->id);
    }

    public function totp(): Totp
    {
        return new Totp((string) hex2bin($this->secret));
    }

    /** What is typed where no picture can be read. */
    public function spelled(): string
    {
        return Base32::encode((string) hex2bin($this->secret));
    }

    /** Whether it is one that counts now: of the authenticator, or one for when that is lost. It does not count again. */
    public function takes(string $code): bool
    {
        $code = (string) preg_replace('/[\s-]/', '', Str::upper($code));

        return $this->getConnection()->transaction(function () use ($code): bool {
            $now = self::query()->lockForUpdate()->findOrFail($this->person_id);
            $step = $now->totp()->stepOf($code, time(), $now->last_step);
            if ($step !== null) {
                return $now->update(['last_step' => $step]);
            }
            $left = array_values(array_diff($now->recovery_codes, [self::digest($code)]));

            return count($left) < count($now->recovery_codes) && $now->update(['recovery_codes' => $left]);
        });
    }

    /** @return list<string> codes for when the authenticator is lost; they are told once, and those before count no more */
    public function recover(): array
    {
        $codes = array_map(static fn(): string => Base32::encode(random_bytes(10)), range(1, self::RECOVERY_CODES));
        $this->update(['recovery_codes' => array_map(self::digest(...), $codes)]);

        return array_map(static fn(string $code): string => implode('-', str_split($code, 4)), $codes);
    }

    private static function digest(#[\SensitiveParameter] string $code): string
    {
        return hash('sha256', $code);
    }
}
