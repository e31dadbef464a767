<?php

declare(strict_types=1);

use App\Economics\Http\MoneyController;
use App\Http\RouteId;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* What a request costs. */

Route::controller(MoneyController::class)
    ->prefix('requests/{number}')
    ->group(static function (): void {
        Route::get('/money', 'show');
        Route::post('/figures', 'say')->middleware(Ability::AssessRequest->gate());
        Route::delete('/figures/{id}', 'takeBack')->where('id', RouteId::NUMBER)->middleware(Ability::AssessRequest->gate());
    });
