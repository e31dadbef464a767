<?php

declare(strict_types=1);

namespace App\Providers;

use App\Ledger\Act;
use App\Ledger\Ledger;
use App\People\Ability;
use App\People\ActivePeople;
use App\People\KnownSessions;
use App\People\Models\Person;
use App\People\Rights;
use GuzzleHttp\Client;
use GuzzleHttp\ClientInterface;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\PersonalAccessToken;
use Laravel\Sanctum\Sanctum;
use Symfony\Component\HttpFoundation\Response;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // How providers of sign-ins are asked: none holds a worker up for long.
        $this->app->bind(ClientInterface::class, static fn(): Client => new Client(['connect_timeout' => 3, 'timeout' => 10]));
        // It collects what one request, or one job, does.
        $this->app->scoped(Ledger::class);
        // It reads what roles allow once for one request, or one job.
        $this->app->scoped(Rights::class);
    }

    public function boot(): void
    {
        // A relation loaded row by row is a query in a loop: an error in development and tests. In production nobody is
        // kept from their work by it: it is logged.
        Model::preventLazyLoading();
        if ($this->app->environment('production')) {
            Model::handleLazyLoadingViolationUsing(
                static fn(Model $model, string $relation) => Log::warning('A relation was loaded row by row.', [
                    'model' => $model::class,
                    'relation' => $relation,
                ]),
            );
        }
        Model::preventAccessingMissingAttributes();
        Model::unguard();

        Event::listen(Act::class, static fn(Act $act) => app(Ledger::class)->record($act->by(), $act->name(), $act->of(), $act->details()));

        foreach (Ability::cases() as $ability) {
            Gate::define($ability->value, static fn(Person $person, ?string $of = null): bool => $person->mayDo($ability, $of));
        }

        TrustProxies::at(config()->array('security.trusted_proxies'));

        Session::extend(
            'database',
            static fn(Application $app): KnownSessions => new KnownSessions(
                $app->make('db')->connection(),
                config()->string('session.table'),
                config()->integer('session.lifetime'),
                $app,
            ),
        );

        // An address that leaves the house, in a mail or a calendar, is the one that is set, whatever the request came by.
        URL::useOrigin(config()->string('app.url'));

        // Scripts and styles come from where the page comes from, whatever name or port that has.
        Vite::createAssetPathsUsing(static fn(string $path): string => '/' . $path);

        Auth::provider(
            'active-people',
            static fn(Application $app, array $config): ActivePeople => new ActivePeople($app->make(Hasher::class), $config['model']),
        );
        Sanctum::authenticateAccessTokensUsing(static function (PersonalAccessToken $token, bool $valid): bool {
            $person = $token->getRelationValue('tokenable');

            return $valid && $person instanceof Person && $person->active;
        });

        // Only what was refused counts: whoever knows the password is never locked out by using it. A name is locked for the
        // address that fails, never for its owner elsewhere; and one address does not try name after name.
        $refused = static fn(Response $response): bool => $response->getStatusCode() >= 400;
        $login = static fn(Request $request): string => is_string($request->input('login')) ? mb_strtolower($request->input('login')) : '';
        RateLimiter::for(
            'sign-in',
            static fn(Request $request): array => [
                Limit::perMinute(10)
                    ->by('name|' . $login($request) . '|' . $request->ip())
                    ->after($refused),
                Limit::perMinute(30)
                    ->by('address|' . $request->ip())
                    ->after($refused),
            ],
        );
        // Every mail counts: nobody fills the letter box of another.
        RateLimiter::for(
            'password',
            static fn(Request $request): array => [
                Limit::perHour(20)->by('address|' . $request->ip()),
                Limit::perMinute(2)->by('name|' . $login($request)),
            ],
        );
        // A signature is asked of the person who is signed in, whatever they send and from wherever.
        RateLimiter::for(
            'signature',
            static fn(Request $request): Limit => Limit::perMinute(10)
                ->by('person|' . $request->user()?->getAuthIdentifier())
                ->after($refused),
        );
    }
}
