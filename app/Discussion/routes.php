<?php

declare(strict_types=1);

use App\Discussion\Http\DiscussionController;
use App\Http\RouteId;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* What people say on reports, requests, orders and items. */

Route::controller(DiscussionController::class)->group(function (): void {
    Route::get('/discussions/{number}', 'index');
    Route::post('/discussions/{number}', 'say')->middleware(Ability::Discuss->gate());
    Route::get('/said-files/{id}', 'file')->whereUuid('id');
    Route::put('/comments/{id}/pin', 'pin')->where('id', RouteId::NUMBER)->middleware(Ability::Discuss->gate());
    Route::delete('/comments/{id}/pin', 'unpin')->where('id', RouteId::NUMBER)->middleware(Ability::Discuss->gate());
});
