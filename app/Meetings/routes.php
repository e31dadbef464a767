<?php

declare(strict_types=1);

use App\Meetings\Http\MeetingController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* The list of the meeting. */

Route::get('/meeting', [MeetingController::class, 'show']);
Route::put('/meeting', [MeetingController::class, 'arrange'])->middleware(Ability::DecideRequest->gate());
