<?php

declare(strict_types=1);

use App\People\Ability;
use App\Vocabulary\Http\ChoiceController;
use Illuminate\Support\Facades\Route;

/* Sites, reasons and sources. */

Route::get('/choices', [ChoiceController::class, 'index']);
Route::post('/choices', [ChoiceController::class, 'store'])->middleware(Ability::SetUp->gate());
Route::patch('/choices/{list}/{code}', [ChoiceController::class, 'update'])->middleware(Ability::SetUp->gate());
