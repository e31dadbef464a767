<?php

declare(strict_types=1);

use App\Manufacturing\Http\AccountabilityController;
use App\Manufacturing\Http\BuiltController;
use App\Manufacturing\Http\BuiltFileController;
use App\Manufacturing\Http\PlantController;
use App\Manufacturing\Http\RoutingController;
use App\People\Ability;
use App\Reading\ReadInWorker;
use Illuminate\Support\Facades\Route;

/* What plants build and when they work, and what of engineering they account for. */

Route::get('/items/{number}/accountability', [AccountabilityController::class, 'show']);
Route::get('/items/{number}/routing', [RoutingController::class, 'routing']);
Route::get('/items/{number}/built-cost', [RoutingController::class, 'cost']);
Route::get('/items/{number}/operations', [RoutingController::class, 'usesOfItem']);
Route::get('/plants/{code}/work-centres/{centre}/operations', [RoutingController::class, 'usesOfWorkCentre']);
Route::get('/items/{number}/built/{format}', [BuiltFileController::class, 'show'])->whereIn('format', ['csv', 'xlsx', 'json']);
Route::get('/routing-comparison', [RoutingController::class, 'compareRoutings']);
Route::get('/orders/{number}/accountability', [AccountabilityController::class, 'ofOrder']);
Route::controller(BuiltController::class)
    ->prefix('orders/{number}/items/{item}/plants/{plant}')
    ->group(static function (): void {
        Route::post('/taken-over', 'takeOver')->middleware(Ability::EditLines->gate());
        Route::post('/records', 'record')->middleware(Ability::EditLines->gate());
        Route::post('/kits', 'kit')->middleware(Ability::EditLines->gate());
        Route::get('/redline', 'show');
        Route::get('/sheet/{format}', 'sheet');
        Route::post('/sheet', 'readSheet')->middleware([Ability::EditLines->gate(), ReadInWorker::class]);
        Route::post('/edits', 'edit')->middleware(Ability::EditLines->gate());
    });
Route::controller(PlantController::class)
    ->prefix('plants')
    ->group(static function (): void {
        Route::get('/', 'index');
        Route::put('/{code}', 'update')->middleware(Ability::SetUp->gate());
        Route::post('/{code}/work-centres', 'add')->middleware(Ability::SetUp->gate());
        Route::patch('/{code}/work-centres/{centre}', 'set')->middleware(Ability::SetUp->gate());
    });
