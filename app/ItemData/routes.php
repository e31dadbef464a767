<?php

declare(strict_types=1);

use App\ItemData\Http\ItemDataController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* What is known of items besides what they are made of, and how orders change it. */
Route::controller(ItemDataController::class)->group(static function (): void {
    Route::get('/items/{number}/data', 'show');
    Route::get('/orders/{number}/data', 'ofOrder');
    Route::get('/orders/{number}/items/{item}/data', 'redline');
    Route::post('/orders/{number}/items/{item}/data', 'set')->middleware(Ability::EditLines->gate());
});
