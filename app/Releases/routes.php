<?php

declare(strict_types=1);

use App\People\Ability;
use App\Releases\Http\HandoverController;
use App\Releases\Http\ReleaseController;
use Illuminate\Support\Facades\Route;

/* What is released and handed over. */

Route::post('/orders/{number}/release', [ReleaseController::class, 'release'])->middleware(Ability::ReleaseOrder->gate());

Route::post('/handovers/{name}/delivery', [HandoverController::class, 'send'])->middleware(Ability::SendHandover->gate());
Route::get('/handovers/{name}/files/{format}', [HandoverController::class, 'file']);
