<?php

declare(strict_types=1);

use App\Reading\ReadingController;
use Illuminate\Support\Facades\Route;

/* Files that are read apart. */

Route::get('/readings/{id}', [ReadingController::class, 'show'])->whereUuid('id');
