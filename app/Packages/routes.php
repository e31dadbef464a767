<?php

declare(strict_types=1);

use App\Packages\Http\PackageController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* All that an order released, in one file. */

Route::controller(PackageController::class)
    ->prefix('orders/{number}/packages')
    ->group(static function (): void {
        Route::get('/', 'index');
        Route::post('/', 'make')->middleware(Ability::ReleaseOrder->gate());
        Route::delete('/{id}', 'cancel')->whereNumber('id')->middleware(Ability::ReleaseOrder->gate());
        Route::get('/{id}/file', 'file')->whereNumber('id');
    });
