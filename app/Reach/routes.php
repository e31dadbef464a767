<?php

declare(strict_types=1);

use App\People\Ability;
use App\Reach\Http\ReachController;
use Illuminate\Support\Facades\Route;

/* What a request touches. */

Route::controller(ReachController::class)
    ->prefix('requests/{number}')
    ->group(static function (): void {
        Route::get('/reach', 'show');
        Route::get('/reach-picture', 'picture');
        Route::post('/reach', 'decide')->middleware(Ability::AssessRequest->gate());
    });
