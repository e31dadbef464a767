<?php

declare(strict_types=1);

use App\Forms\Http\FormController;
use App\Forms\Http\TemplateController;
use App\Http\RouteId;
use App\People\Ability;
use App\Reading\ReadInWorker;
use Illuminate\Support\Facades\Route;

/* Forms that go out and come back. */

Route::controller(TemplateController::class)
    ->prefix('form-templates')
    ->group(static function (): void {
        Route::get('/', 'index');
        Route::get('/blank', 'blank');
        Route::get('/{id}/file', 'file')->where('id', RouteId::NUMBER);
        Route::post('/', 'store')->middleware([Ability::SetUp->gate(), ReadInWorker::class]);
        Route::patch('/{id}', 'update')->where('id', RouteId::NUMBER)->middleware(Ability::SetUp->gate());
        Route::post('/{id}/file', 'replace')
            ->where('id', RouteId::NUMBER)
            ->middleware([Ability::SetUp->gate(), ReadInWorker::class]);
    });
Route::controller(FormController::class)->group(static function (): void {
    Route::get('/requests/{number}/forms', 'index');
    Route::post('/requests/{number}/forms', 'handOut')->middleware(Ability::AssessRequest->gate());
    Route::post('/requests/{number}/returned-form', 'look')->middleware([Ability::AssessRequest->gate(), ReadInWorker::class]);
    Route::post('/requests/{number}/returned-form/taken', 'takeIn')->middleware([Ability::AssessRequest->gate(), ReadInWorker::class]);
    Route::get('/forms/{number}/file', 'file');
    Route::delete('/forms/{number}', 'withdraw')->middleware(Ability::AssessRequest->gate());
    Route::delete('/forms/{number}/taken', 'takeBack')->middleware(Ability::AssessRequest->gate());
});
