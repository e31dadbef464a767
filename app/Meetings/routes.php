<?php

declare(strict_types=1);

use App\Http\RouteId;
use App\Meetings\Http\MeetingController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* The list of the meeting. */

Route::get('/meeting', [MeetingController::class, 'show']);
Route::put('/meeting', [MeetingController::class, 'arrange'])->middleware(Ability::DecideRequest->gate());
Route::post('/meeting/days', [MeetingController::class, 'set'])->middleware(Ability::DecideRequest->gate());
Route::delete('/meeting/days/{id}', [MeetingController::class, 'callOff'])
    ->where('id', RouteId::NUMBER)
    ->middleware(Ability::DecideRequest->gate());
