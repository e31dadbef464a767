<?php

declare(strict_types=1);

namespace App\SignIn;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\SignIn\Data\SignInRow;
use App\SignIn\Events\SignInEnded;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Where a person is signed in, as far as the sessions are in the database. A session is told by the digest of its id: whoever knows an
 * id is signed in with it.
 */
final readonly class SignIns
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  ?string  $here  id of the session that asks
     * @return list<SignInRow> the latest first
     */
    public function of(Person $person, ?string $here): array
    {
        return array_values(
            self::sessions($person)
                ->orderByDesc('last_activity')
                ->get(['id', 'ip_address', 'user_agent', 'signed_in_at', 'last_activity'])
                ->map(
                    static fn(object $row): SignInRow => new SignInRow(
                        id: self::digest($row->id),
                        from: (string) $row->ip_address,
                        program: self::program((string) $row->user_agent),
                        signed_in_at: CarbonImmutable::parse($row->signed_in_at)->toIso8601String(),
                        active_at: CarbonImmutable::createFromTimestamp($row->last_activity)->toIso8601String(),
                        here: $row->id === $here,
                    ),
                )
                ->all(),
        );
    }

    /** Ends one; the next thing that is asked for by it asks to sign in. */
    public function end(Person $by, Person $person, string $id): void
    {
        $this->ledger->together(static function () use ($by, $person, $id): void {
            $session = self::sessions($person)
                ->lockForUpdate()
                ->get(['id', 'ip_address'])
                ->first(static fn(object $row): bool => hash_equals(self::digest($row->id), $id));
            $session ?? abort(404);
            DB::table('sessions')->where('id', $session->id)->delete();
            event(new SignInEnded($by->login, $person->login, (string) $session->ip_address));
        });
    }

    private static function sessions(Person $person): Builder
    {
        $oldest = CarbonImmutable::now()->subMinutes(config()->integer('session.lifetime'))->getTimestamp();

        return DB::table('sessions')->where('user_id', $person->id)->where('last_activity', '>=', $oldest);
    }

    private static function digest(string $session): string
    {
        return hash('sha256', $session);
    }

    /** The browser and the system, as far as they say so: "Firefox on Linux". */
    private static function program(string $agent): string
    {
        $first = static fn(array $names): string => (string) array_find(
            array_keys($names),
            static fn(string $sign): bool => str_contains($agent, $sign),
        );
        $browsers = ['Edg/' => 'Edge', 'OPR/' => 'Opera', 'Firefox/' => 'Firefox', 'Chrome/' => 'Chrome', 'Safari/' => 'Safari'];
        $systems = [
            'Android' => 'Android',
            'iPhone' => 'iOS',
            'iPad' => 'iPadOS',
            'Windows' => 'Windows',
            'Mac OS X' => 'macOS',
            'Linux' => 'Linux',
        ];
        $browser = $browsers[$first($browsers)] ?? '';
        $system = $systems[$first($systems)] ?? '';

        return match (true) {
            $browser === '' => mb_substr($agent, 0, 60),
            $system === '' => $browser,
            default => "{$browser} on {$system}",
        };
    }
}
