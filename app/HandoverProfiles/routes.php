<?php

declare(strict_types=1);

use App\HandoverProfiles\Http\HandoverProfileController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* What other systems than planning get of hand-overs. */

Route::get('/hand-over-profiles', [HandoverProfileController::class, 'index'])->middleware(Ability::ConnectSystems->gate());
Route::put('/hand-over-profiles/{code}', [HandoverProfileController::class, 'set'])
    ->where('code', '[A-Za-z0-9][A-Za-z0-9_-]{0,29}')
    ->middleware(Ability::ConnectSystems->gate());
Route::post('/hand-over-profiles/{code}/files', [HandoverProfileController::class, 'send'])->middleware(Ability::ConnectSystems->gate());
Route::get('/past-hand-overs', [HandoverProfileController::class, 'past'])->middleware(Ability::ConnectSystems->gate());
Route::post('/hand-over-previews', [HandoverProfileController::class, 'preview'])->middleware(Ability::ConnectSystems->gate());
