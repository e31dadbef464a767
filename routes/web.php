<?php

declare(strict_types=1);

use App\Audit\Http\LedgerController;
use App\Notices\Http\CalendarController;
use App\Sheets\Http\ScannedSheetController;
use App\SignIn\Http\PasswordController;
use App\SignIn\Http\ProviderController;
use App\SignIn\Http\SecondFactorFirst;
use App\SignIn\Http\SessionController;
use App\SignIn\Http\SessionOfPassword;
use App\Structures\Http\WithoutDamagedIndex;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Symfony\Component\Finder\Finder;

// Before anybody is signed in.
Route::post('/api/session', [SessionController::class, 'store'])->middleware('throttle:sign-in');
Route::post('/api/password-link', [PasswordController::class, 'ask'])->middleware('throttle:password');
Route::post('/api/password', [PasswordController::class, 'reset'])->middleware('throttle:sign-in');

Route::get('/sign-in/provider', [ProviderController::class, 'begin'])->middleware('throttle:sign-in');
Route::get('/sign-in/provider/back', [ProviderController::class, 'back'])->middleware('throttle:sign-in');

Route::prefix('api')
    ->middleware(['auth:sanctum', SessionOfPassword::class, SecondFactorFirst::class, WithoutDamagedIndex::class])
    ->group(static function (): void {
        // Each area of app/ says what it is asked for, and who may.
        foreach (Finder::create()->files()->in(app_path())->depth(1)->name('routes.php')->sortByName() as $routes) {
            require $routes->getPathname();
        }
        Route::any('/{rest}', static fn() => abort(404))->where('rest', '.*');
    });

// A calendar program has nothing but the private address: no session, no cookie.
Route::get('/calendar/{key}.ics', [CalendarController::class, 'read'])
    ->where('key', '[0-9a-f]{48}')
    ->withoutMiddleware('web')
    ->middleware('throttle:calendar');

// What the house has signed is checked with its public key, by whoever holds it.
Route::get('/house-key.pem', [LedgerController::class, 'key'])
    ->withoutMiddleware('web')
    ->middleware('throttle:60,1');

// Whoever scans the code on a print has no account.
Route::controller(ScannedSheetController::class)
    ->withoutMiddleware('web')
    ->middleware('throttle:scan')
    ->group(static function (): void {
        Route::get('/s/{key}.pdf', 'sheet')->where('key', '[0-9a-f]{32}');
        Route::get('/s/{key}', 'show')->where('key', '[0-9a-f]{32}');
    });

// Whether this copy runs and reaches its database, for whoever watches over it.
Route::get(
    '/up',
    static fn() => response(DB::selectOne('SELECT 1 AS up')->up === 1 ? 'up' : 'down', 200, ['Content-Type' => 'text/plain']),
)->withoutMiddleware('web');

// Everything else is a page of the application in the browser.
Route::view('/{page?}', 'application')->where('page', '.*');
