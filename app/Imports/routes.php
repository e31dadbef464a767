<?php

declare(strict_types=1);

use App\Imports\Http\ImportController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* Files that are taken over. */

Route::get('/imports', [ImportController::class, 'index']);
Route::get('/imports/{id}', [ImportController::class, 'show'])->whereUuid('id');
Route::get('/imports/{id}/marked', [ImportController::class, 'marked'])->whereUuid('id');
Route::post('/imports', [ImportController::class, 'store'])->middleware(Ability::ImportData->gate());
Route::delete('/imports/{id}', [ImportController::class, 'cancel'])
    ->whereUuid('id')
    ->middleware(Ability::ImportData->gate());
