<?php

declare(strict_types=1);

use App\Notices\Http\CalendarController;
use App\Notices\Http\NoticeController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* Who is told of what: everybody's own. */

Route::controller(NoticeController::class)->group(function (): void {
    Route::get('/notices', 'index');
    Route::get('/notices/unread', 'unread');
    Route::post('/notices/read', 'mark')->middleware(Ability::BeTold->gate());
    Route::get('/notices/paces', 'paces');
    Route::put('/notices/paces', 'setPace')->middleware(Ability::BeTold->gate());
    Route::post('/changes/{number}/look', 'look')->middleware(Ability::BeTold->gate());
    Route::get('/changes/{number}/watch', 'watch');
    Route::put('/changes/{number}/watch', 'start')->middleware(Ability::BeTold->gate());
    Route::delete('/changes/{number}/watch', 'stop')->middleware(Ability::BeTold->gate());
});

Route::controller(CalendarController::class)->group(function (): void {
    Route::get('/calendar', 'show');
    Route::post('/calendar', 'make')->middleware(Ability::BeTold->gate());
    Route::delete('/calendar', 'withdraw')->middleware(Ability::BeTold->gate());
});
