<?php

declare(strict_types=1);

namespace App\Outgoing\Models;

use App\Http\Stale;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Orthotaxis\Core\Refusal;

/**
 * A way to another system. Never deleted: what went there keeps its name.
 *
 * @property int $id
 * @property string $code
 * @property string $name
 * @property Purpose $purpose
 * @property TargetKind $target
 * @property string $address where: of HTTP an address, of SFTP host:port/folder, of a folder its path
 * @property string $login of SFTP
 * @property ?string $secret what messages are signed with, or what opens the target: a token, a password, a private key; null: none
 * @property ?string $former_secret signs too until then
 * @property ?CarbonImmutable $former_until
 * @property string $host_key of SFTP: the fingerprint by which the host is known
 * @property bool $retired nothing goes there any more
 * @property int $version
 * @property-read ?Webhook $webhook
 */
final class Channel extends Model
{
    public $timestamps = false;

    protected $hidden = ['secret', 'former_secret'];

    protected $casts = [
        'purpose' => Purpose::class,
        'target' => TargetKind::class,
        'secret' => 'encrypted',
        'former_secret' => 'encrypted',
        'former_until' => 'immutable_datetime',
        'retired' => 'boolean',
    ];

    /**
     * The channel that is set up, held; a new one where there is none yet.
     *
     * @param  ?int  $version  that was on screen; null: it is new
     *
     * @throws Refusal when there is one with this code already
     * @throws Stale when somebody has changed it since that version
     */
    public static function toSet(string $code, Purpose $purpose, ?int $version): self
    {
        $channel = self::query()->where('code', $code)->lockForUpdate()->first();
        if ($version === null && $channel !== null) {
            throw Refusal::at('code', "{$code} is there already: choose another code.");
        }
        if ($version !== null) {
            $channel?->purpose === $purpose || abort(404);
            if ($channel->version !== $version) {
                throw new Stale('Somebody has changed it meanwhile.', ['name' => $channel->name]);
            }
        }

        return $channel ?? new self(['code' => $code, 'purpose' => $purpose, 'version' => 0, 'secret' => null]);
    }

    /** @return HasOne<Webhook, $this> */
    public function webhook(): HasOne
    {
        return $this->hasOne(Webhook::class);
    }

    /** Whether there is a secret; it need not be readable for that. */
    public function hasSecret(): bool
    {
        return $this->getRawOriginal('secret') !== null;
    }

    /** @return list<string> what a message is signed with at a moment */
    public function signingSecrets(CarbonImmutable $now): array
    {
        return array_values(array_filter([$this->secret, $this->former_until?->isAfter($now) === true ? $this->former_secret : null]));
    }
}
