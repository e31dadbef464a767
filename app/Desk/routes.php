<?php

declare(strict_types=1);

use App\Desk\Http\DeskController;
use Illuminate\Support\Facades\Route;

/* What somebody has to do. */

Route::get('/desk', [DeskController::class, 'show']);
