<?php

declare(strict_types=1);

namespace App\Seals;

use App\Seals\Models\HouseKey;
use Illuminate\Support\Facades\DB;

/**
 * Signs what leaves the house, so that a stranger can tell that it comes from here and is as it was: ECDSA on P-256 with SHA-256, which
 * openssl checks alone. The key pair is made when it is needed for the first time and is the same on every machine.
 */
final readonly class HouseSeal
{
    /** @return string the signature as bytes (DER) */
    public function of(string $text): string
    {
        $key = openssl_pkey_get_private(self::key()->private);
        if ($key === false || !openssl_sign($text, $signature, $key, OPENSSL_ALGO_SHA256) || !is_string($signature)) {
            throw new \RuntimeException('The house key cannot be used: ' . openssl_error_string());
        }

        return $signature;
    }

    /** @return string PEM */
    public function publicKey(): string
    {
        return self::key()->public;
    }

    private static function key(): HouseKey
    {
        return HouseKey::query()->first() ?? self::made();
    }

    private static function made(): HouseKey
    {
        return DB::transaction(static function (): HouseKey {
            // Two who need it at once make one.
            DB::statement('LOCK TABLE house_keys IN SHARE ROW EXCLUSIVE MODE');
            $known = HouseKey::query()->first();
            if ($known !== null) {
                return $known;
            }
            $pair = openssl_pkey_new(['private_key_type' => OPENSSL_KEYTYPE_EC, 'curve_name' => 'prime256v1']);
            if ($pair === false || !openssl_pkey_export($pair, $private) || !is_string($private)) {
                throw new \RuntimeException('The house key cannot be made: ' . openssl_error_string());
            }
            $details = openssl_pkey_get_details($pair);

            return HouseKey::query()->create(['public' => $details === false ? '' : $details['key'], 'private' => $private]);
        });
    }
}
