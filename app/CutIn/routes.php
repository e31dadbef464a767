<?php

declare(strict_types=1);

use App\CutIn\Http\CutInController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* The day to cut in. */

Route::controller(CutInController::class)->group(static function (): void {
    // Asking changes nothing: whoever may read may ask. The question is too long for an address.
    Route::post('/cut-in', 'plan')->middleware(Ability::AskCutIn->gate());
    Route::post('/cut-in/rows', 'rows')->middleware(Ability::AskCutIn->gate());
    Route::post('/cut-in/to-do', 'toDo')->middleware(Ability::AskCutIn->gate());
    Route::post('/cut-in/hinges', 'hinges')->middleware(Ability::AskCutIn->gate());
    Route::post('/cut-in/chances', 'chances')->middleware(Ability::AskCutIn->gate());
    Route::post('/shortages', 'shortages')->middleware(Ability::AskCutIn->gate());
    Route::get('/requests/{number}/cut-in', 'start');
    Route::get('/requests/{number}/cut-ins', 'chosen');
    Route::get('/requests/{number}/cut-ins/{id}/calendar', 'calendar')->whereNumber('id');
    Route::post('/requests/{number}/cut-ins', 'choose')->middleware(Ability::AssessRequest->gate());
});
