<?php

declare(strict_types=1);

use App\People\Ability;
use App\Tasks\Http\TaskController;
use Illuminate\Support\Facades\Route;

/* What is to be done for a change, and by whom. */

Route::controller(TaskController::class)->group(static function (): void {
    Route::get('/changes/{number}/tasks', 'index');
    Route::post('/changes/{number}/tasks', 'make')->middleware(Ability::ManageTasks->gate());
    Route::prefix('tasks/{number}')->group(static function (): void {
        Route::get('/', 'show');
        Route::patch('/', 'plan')->middleware(Ability::ManageTasks->gate());
        Route::post('/claim', 'claim')->middleware(Ability::DoTask->gate());
        Route::post('/hand-back', 'handBack')->middleware(Ability::DoTask->gate());
        Route::post('/hand-on', 'handOn')->middleware(Ability::DoTask->gate());
        Route::post('/done', 'finish')->middleware(Ability::DoTask->gate());
        Route::post('/withdrawal', 'withdraw')->middleware(Ability::ManageTasks->gate());
        Route::post('/reopening', 'reopen')->middleware(Ability::ManageTasks->gate());
        Route::put('/checks/{place}', 'tick')->where('place', '[0-9]{1,4}')->middleware(Ability::DoTask->gate());
        Route::post('/comments', 'comment')->middleware(Ability::DoTask->gate());
    });
});
