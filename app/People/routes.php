<?php

declare(strict_types=1);

use App\Http\RouteId;
use App\People\Ability;
use App\People\Http\AbsenceController;
use App\People\Http\AccountController;
use App\People\Http\FavouriteController;
use App\People\Http\GroupController;
use App\People\Http\PeopleController;
use App\People\Http\RoleController;
use App\People\Http\SeparationController;
use App\People\Http\TableLayoutController;
use Illuminate\Support\Facades\Route;

/* People, and what each keeps for themselves. */

Route::get('/people', [PeopleController::class, 'index']);
Route::get('/absences', [AbsenceController::class, 'index']);
Route::post('/absences', [AbsenceController::class, 'add'])->middleware(Ability::BeAway->gate());
Route::delete('/absences/{id}', [AbsenceController::class, 'remove'])
    ->where('id', RouteId::NUMBER)
    ->middleware(Ability::BeAway->gate());
Route::get('/groups', [GroupController::class, 'index']);
Route::put('/groups/{code}', [GroupController::class, 'set'])
    ->where('code', '[A-Za-z0-9][A-Za-z0-9_-]{0,29}')
    ->middleware(Ability::SetUp->gate());
Route::get('/abilities', [RoleController::class, 'abilities']);
Route::get('/roles', [RoleController::class, 'index']);
Route::put('/roles/{code}', [RoleController::class, 'set'])
    ->where('code', '[A-Za-z0-9][A-Za-z0-9_-]{0,29}')
    ->middleware(Ability::ManagePeople->gate());
Route::get('/separation', [SeparationController::class, 'show']);
Route::put('/separation', [SeparationController::class, 'set'])->middleware(Ability::ManagePeople->gate());
Route::get('/accounts', [AccountController::class, 'index'])->middleware(Ability::ManagePeople->gate());
Route::put('/accounts/{login}', [AccountController::class, 'set'])
    ->where('login', '[a-z0-9][a-z0-9._-]{0,59}')
    ->middleware(Ability::ManagePeople->gate());
Route::get('/favourites', [FavouriteController::class, 'index']);
Route::post('/favourites', [FavouriteController::class, 'store'])->middleware(Ability::KeepPage->gate());
Route::delete('/favourites/{id}', [FavouriteController::class, 'destroy'])
    ->where('id', RouteId::NUMBER)
    ->middleware(Ability::KeepPage->gate());
Route::put('/table-layouts/{name}', [TableLayoutController::class, 'update'])
    ->where('name', '[a-z0-9-]{1,80}')
    ->middleware(Ability::KeepPage->gate());
