<?php

declare(strict_types=1);

use App\People\Ability;
use App\Planning\Http\ExposureController;
use App\Planning\Http\PlanningItemsController;
use Illuminate\Support\Facades\Route;

/* What planning knows. */

Route::get('/exposure', [ExposureController::class, 'index']);
Route::post('/planning/items', [PlanningItemsController::class, 'introduce'])->middleware(Ability::SendHandover->gate());
