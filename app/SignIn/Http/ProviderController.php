<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use App\SignIn\Actions\KnowIdentity;
use App\SignIn\OpenId\NotSignedIn;
use App\SignIn\OpenId\OpenIdProvider;
use App\SignIn\OpenId\Pending;
use Illuminate\Auth\SessionGuard;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\Log;

/** To a provider of sign-ins, and back. These are pages for a browser, not for programs. */
final readonly class ProviderController
{
    private const COOKIE = 'sign_in_by_provider';

    private const MINUTES = 10;

    public function __construct(private OpenIdProvider $provider) {}

    public function begin(Request $request): RedirectResponse
    {
        OpenIdProvider::isSet() || abort(404);
        try {
            $pending = $this->provider->begin(self::page($request->query('to')));
        } catch (\Throwable $fault) {
            return self::refused(NotSignedIn::FAILED, $fault->getMessage());
        }

        // It comes back with a top-level request from elsewhere: Lax lets the cookie along. A session is begun only for who signs in.
        return redirect()
            ->away($pending->address)
            ->withCookie(Cookie::make(self::COOKIE, $pending->kept(), self::MINUTES, sameSite: 'lax'));
    }

    public function back(Request $request, KnowIdentity $know): RedirectResponse
    {
        OpenIdProvider::isSet() || abort(404);
        $pending = Pending::read($request->cookie(self::COOKIE));
        $state = $request->query('state');
        $code = $request->query('code');
        try {
            if ($pending === null || !is_string($state) || !hash_equals($pending->state, $state)) {
                throw new NotSignedIn(NotSignedIn::FAILED, 'It was not begun in this browser, or too long ago.');
            }
            if (!is_string($code)) {
                throw new NotSignedIn(NotSignedIn::REFUSED, 'The provider let nobody in.');
            }
            $person = $know($this->provider->finish($pending, $code));
        } catch (NotSignedIn $fault) {
            return self::refused($fault->why, $fault->getMessage());
        }
        $guard = Auth::guard('web');
        $guard instanceof SessionGuard || throw new \LogicException('People sign in by a session.');
        $guard->login($person);
        $request->session()->regenerate();
        SessionOfPassword::begin($request->session(), $person);
        // The provider has asked for whatever it asks for; a code of ours would be a third factor.
        $request->session()->put(SecondFactorFirst::ASKED_ELSEWHERE, true);

        return redirect(self::page($pending->to))->withoutCookie(self::COOKIE);
    }

    private static function refused(string $why, string $message): RedirectResponse
    {
        Log::warning('Nobody was signed in by the provider.', ['why' => $message]);

        return redirect('/?' . http_build_query(['sign_in' => $why]))->withoutCookie(self::COOKIE);
    }

    /** A page of ours; another address is not gone to. */
    private static function page(mixed $to): string
    {
        return is_string($to) && preg_match('~^/(?![/\\\\])[^\r\n]{0,500}$~D', $to) === 1 ? $to : '/';
    }
}
