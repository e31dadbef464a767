<?php

declare(strict_types=1);

use App\Http\RouteId;
use App\Outgoing\Http\DeliveryController;
use App\Outgoing\Http\WebhookController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* What leaves the house for other systems. Reading it too asks for the right: it says what changes are about. */

$may = Ability::ConnectSystems->gate();
$code = '[A-Za-z0-9][A-Za-z0-9_-]{0,29}';

Route::get('/events', [WebhookController::class, 'events'])->middleware($may);
Route::get('/webhooks', [WebhookController::class, 'index'])->middleware($may);
Route::put('/webhooks/{code}', [WebhookController::class, 'set'])
    ->where('code', $code)
    ->middleware(Ability::ConnectSystems->gate());
Route::post('/webhooks/{code}/secret', [WebhookController::class, 'renewSecret'])->middleware(Ability::ConnectSystems->gate());
Route::post('/webhooks/{code}/trial', [WebhookController::class, 'try'])->middleware(Ability::ConnectSystems->gate());
Route::get('/channels/{code}/deliveries', [DeliveryController::class, 'index'])->middleware($may);
Route::post('/channels/{code}/deliveries', [DeliveryController::class, 'again'])->middleware(Ability::ConnectSystems->gate());
Route::get('/deliveries/{id}', [DeliveryController::class, 'show'])
    ->where('id', RouteId::NUMBER)
    ->middleware($may);
