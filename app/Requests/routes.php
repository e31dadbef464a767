<?php

declare(strict_types=1);

use App\People\Ability;
use App\Reading\ReadInWorker;
use App\Requests\Http\ChangeFileController;
use App\Requests\Http\GatheringController;
use App\Requests\Http\RequestController;
use Illuminate\Support\Facades\Route;

/* Change requests. */

Route::controller(GatheringController::class)
    ->prefix('reports/{number}/requests/{request}')
    ->group(static function (): void {
        Route::put('/', 'gather')->middleware(Ability::AssessRequest->gate());
        Route::delete('/', 'apart')->middleware(Ability::AssessRequest->gate());
    });
Route::controller(ChangeFileController::class)->group(static function (): void {
    Route::get('/change-files/{id}', 'content')->whereUuid('id');
    Route::delete('/change-files/{id}', 'takeAway')->whereUuid('id')->middleware(Ability::ReportProblem->gate());
    Route::post('/requests/{number}/files', 'toRequest')->middleware([Ability::ReportProblem->gate(), ReadInWorker::class]);
    Route::post('/reports/{number}/files', 'toReport')->middleware([Ability::ReportProblem->gate(), ReadInWorker::class]);
});
Route::controller(RequestController::class)
    ->prefix('requests')
    ->group(static function (): void {
        Route::post('/', 'store')->middleware(Ability::RaiseRequest->gate());
        Route::post('/{number}/answer', 'answer')->middleware(Ability::RaiseRequest->gate());
        Route::post('/{number}/finding', 'assess')->middleware(Ability::AssessRequest->gate());
        Route::post('/{number}/decision', 'decide')->middleware(Ability::DecideRequest->gate());
        Route::post('/{number}/gathering', 'gather')->middleware(Ability::AssessRequest->gate());
        Route::post('/{number}/apart', 'apart')->middleware(Ability::AssessRequest->gate());
        Route::post('/{number}/split', 'split')->middleware(Ability::AssessRequest->gate());
    });
