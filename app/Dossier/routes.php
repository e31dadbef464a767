<?php

declare(strict_types=1);

use App\Dossier\Http\ChangeController;
use App\Dossier\Http\RaiseOrderController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* Changes as a whole. */

Route::get('/changes', [ChangeController::class, 'index']);
Route::get('/dossiers/{number}', [ChangeController::class, 'show']);
Route::post('/requests/{number}/order', [RaiseOrderController::class, 'order'])->middleware(Ability::RaiseOrder->gate());
