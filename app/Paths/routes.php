<?php

declare(strict_types=1);

use App\Paths\Http\PathController;
use App\Paths\Http\ResponsibleController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* Approval paths, and who is responsible for what. */

Route::get('/approval-paths', [PathController::class, 'index']);
Route::put('/approval-paths/{code}', [PathController::class, 'set'])
    ->where('code', '[A-Za-z0-9][A-Za-z0-9_-]{0,29}')
    ->middleware(Ability::SetUp->gate());
Route::get('/responsible', [ResponsibleController::class, 'index']);
Route::put('/responsible/{field}/{code}', [ResponsibleController::class, 'set'])->middleware(Ability::SetUp->gate());
