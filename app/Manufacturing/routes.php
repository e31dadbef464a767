<?php

declare(strict_types=1);

use App\Manufacturing\Http\AccountabilityController;
use Illuminate\Support\Facades\Route;

/* What plants build, and what of engineering they account for. */

Route::get('/items/{number}/accountability', [AccountabilityController::class, 'show']);
Route::get('/orders/{number}/accountability', [AccountabilityController::class, 'ofOrder']);
