<?php

declare(strict_types=1);

use App\People\Ability;
use App\Sheets\Http\SheetComparisonController;
use App\Sheets\Http\SheetController;
use App\Sheets\Http\SheetMarkController;
use Illuminate\Support\Facades\Route;

/* Sheets as they leave the house. */

Route::controller(SheetController::class)
    ->prefix('files/{id}')
    ->group(static function (): void {
        Route::get('/stamped', 'stamped');
        Route::get('/parts-list', 'partsList');
        Route::get('/address', 'address');
        Route::post('/address', 'make')->middleware(Ability::AttachFile->gate());
        Route::delete('/address', 'withdraw')->middleware(Ability::AttachFile->gate());
    });

Route::controller(SheetComparisonController::class)->group(static function (): void {
    Route::get('/orders/{number}/sheets', 'ofOrder');
    Route::get('/files/{id}/against/{after}', 'compare')->whereUuid(['id', 'after']);
    Route::get('/files/{id}/page', 'page')->whereUuid('id');
});

Route::controller(SheetMarkController::class)
    ->prefix('files/{id}/marks')
    ->whereUuid('id')
    ->group(static function (): void {
        Route::get('', 'show');
        Route::post('', 'set')->middleware(Ability::AttachFile->gate());
        Route::delete('/{mark}', 'remove')->whereNumber('mark')->middleware(Ability::AttachFile->gate());
    });
