<?php

declare(strict_types=1);

use App\People\Ability;
use App\Reading\ReadInWorker;
use App\Structures\Http\CategoryController;
use App\Structures\Http\CompareController;
use App\Structures\Http\ItemController;
use App\Structures\Http\KindController;
use App\Structures\Http\StructureController;
use App\Structures\Http\StructureFileController;
use App\Structures\Http\SummaryController;
use Illuminate\Support\Facades\Route;

/* Items and their structures. */

Route::get('/items', [ItemController::class, 'index']);
Route::post('/items', [ItemController::class, 'store'])->middleware(Ability::AddItem->gate());
Route::get('/item-number', [ItemController::class, 'number']);
Route::get('/categories', [CategoryController::class, 'index']);
Route::post('/categories', [CategoryController::class, 'store'])->middleware(Ability::SetUp->gate());
Route::patch('/categories/{code}', [CategoryController::class, 'update'])->middleware(Ability::SetUp->gate());
Route::get('/kinds', [KindController::class, 'index']);
Route::patch('/kinds/{kind}', [KindController::class, 'update'])->middleware(Ability::SetUp->gate());
Route::get('/items/{number}', [ItemController::class, 'show']);
Route::get('/items/{number}/structure', [StructureController::class, 'show']);
Route::get('/items/{number}/where-used', [StructureController::class, 'whereUsed']);
Route::get('/items/{number}/summary', [SummaryController::class, 'show']);
Route::get('/items/{number}/structure/{format}', [StructureFileController::class, 'show']);
Route::get('/comparison', [CompareController::class, 'show']);
// Whoever may read may compare: the file changes nothing of ours.
Route::post('/comparison-files', [CompareController::class, 'bring'])->middleware([Ability::CompareFile->gate(), ReadInWorker::class]);
Route::get('/comparison/{format}', [CompareController::class, 'file']);

Route::get('/catalogue/{format}', [ItemController::class, 'file']);
