<?php

declare(strict_types=1);

namespace App\Providers;

use App\People\Ability;
use App\People\Models\Person;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Symfony\Component\HttpFoundation\Response;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        // A relation loaded row by row is a query in a loop: an error in development and tests. In production nobody is
        // kept from their work by it: it is logged.
        Model::preventLazyLoading();
        if ($this->app->environment('production')) {
            Model::handleLazyLoadingViolationUsing(static fn (Model $model, string $relation) => Log::warning('A relation was loaded row by row.', ['model' => $model::class, 'relation' => $relation]));
        }
        Model::preventAccessingMissingAttributes();
        Model::unguard();

        foreach (Ability::cases() as $ability) {
            Gate::define($ability->value, static fn (Person $person): bool => $person->mayDo($ability));
        }

        // Scripts and styles come from where the page comes from, whatever name or port that has.
        Vite::createAssetPathsUsing(static fn (string $path): string => '/'.$path);

        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(20)->by($request->string('login')->lower().'|'.$request->ip())
            // Only what was refused counts: whoever knows the password is never locked out by using it.
            ->after(static fn (Response $response): bool => $response->getStatusCode() >= 400));
    }
}
