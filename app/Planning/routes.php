<?php

declare(strict_types=1);

use App\Planning\Http\ExposureController;
use Illuminate\Support\Facades\Route;

/* What planning knows. */

Route::get('/exposure', [ExposureController::class, 'index']);
