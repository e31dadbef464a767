<?php

declare(strict_types=1);

use App\People\Ability;
use App\Verification\Http\VerificationController;
use Illuminate\Support\Facades\Route;

/* What planning has of all that was handed over. */

Route::controller(VerificationController::class)
    ->prefix('hand-overs')
    ->group(static function (): void {
        Route::get('/', 'health');
        Route::get('/differences', 'differences');
        Route::post('/deliveries', 'resend')->middleware(Ability::SendHandover->gate());
        Route::post('/corrections', 'correct')->middleware(Ability::SendHandover->gate());
        Route::post('/verification', 'verify')->middleware(Ability::SendHandover->gate());
        Route::delete('/verification', 'cancel')->middleware(Ability::SendHandover->gate());
    });
