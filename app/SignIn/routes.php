<?php

declare(strict_types=1);

use App\Http\RouteId;
use App\People\Ability;
use App\SignIn\Http\AccountSafetyController;
use App\SignIn\Http\OnlyInSession;
use App\SignIn\Http\PasswordController;
use App\SignIn\Http\SecondFactorController;
use App\SignIn\Http\SessionController;
use App\SignIn\Http\SignInController;
use App\SignIn\Http\TokenController;
use Illuminate\Support\Facades\Route;

/* How people sign in. What is under /session is about who is signed in, and asks for no right of a role. */

Route::get('/session', [SessionController::class, 'show']);
Route::delete('/session', [SessionController::class, 'destroy']);

Route::middleware(OnlyInSession::class)->group(static function (): void {
    Route::put('/session/password', [PasswordController::class, 'change'])->middleware('throttle:signature');
    Route::get('/session/second-factor', [SecondFactorController::class, 'show']);
    Route::post('/session/second-factor', [SecondFactorController::class, 'begin'])->middleware('throttle:signature');
    Route::put('/session/second-factor', [SecondFactorController::class, 'confirm'])->middleware('throttle:signature');
    Route::delete('/session/second-factor', [SecondFactorController::class, 'remove'])->middleware('throttle:signature');
    Route::post('/session/recovery-codes', [SecondFactorController::class, 'recover'])->middleware('throttle:signature');
    Route::get('/session/sign-ins', [SignInController::class, 'index']);
    Route::delete('/session/sign-ins/{id}', [SignInController::class, 'end'])->where('id', '[0-9a-f]{64}');
    Route::get('/session/tokens', [TokenController::class, 'index']);
    Route::post('/session/tokens', [TokenController::class, 'issue']);
    Route::delete('/session/tokens/{id}', [TokenController::class, 'withdraw'])->where('id', RouteId::NUMBER);
});

Route::prefix('accounts/{login}')->group(static function (): void {
    Route::get('/safety', [AccountSafetyController::class, 'show'])->middleware(Ability::ManagePeople->gate());
    Route::post('/password-link', [AccountSafetyController::class, 'sendLink'])->middleware(Ability::ManagePeople->gate());
    Route::delete('/second-factor', [AccountSafetyController::class, 'resetSecondFactor'])->middleware(Ability::ManagePeople->gate());
    Route::delete('/sign-ins/{id}', [AccountSafetyController::class, 'endSignIn'])
        ->where('id', '[0-9a-f]{64}')
        ->middleware(Ability::ManagePeople->gate());
    Route::delete('/tokens/{id}', [AccountSafetyController::class, 'withdrawToken'])
        ->where('id', RouteId::NUMBER)
        ->middleware(Ability::ManagePeople->gate());
});
