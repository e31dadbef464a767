<?php

declare(strict_types=1);

use App\People\Ability;
use App\Problems\Http\ReportController;
use Illuminate\Support\Facades\Route;

/* Problem reports. */

Route::get('/reports-like', [ReportController::class, 'like']);
Route::controller(ReportController::class)
    ->prefix('reports')
    ->group(static function (): void {
        Route::get('/', 'index');
        Route::post('/', 'store')->middleware(Ability::ReportProblem->gate());
        Route::get('/{number}', 'show');
        Route::post('/{number}/reply', 'reply')->middleware(Ability::ReportProblem->gate());
        Route::post('/{number}/answer', 'answer')->middleware(Ability::AssessRequest->gate());
        Route::post('/{number}/return', 'sendBack')->middleware(Ability::AssessRequest->gate());
        Route::post('/{number}/duplicate', 'duplicate')->middleware(Ability::AssessRequest->gate());
        Route::post('/{number}/reopening', 'reopen')->middleware(Ability::AssessRequest->gate());
    });
