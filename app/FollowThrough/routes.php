<?php

declare(strict_types=1);

use App\FollowThrough\Http\ClosingController;
use App\FollowThrough\Http\OldDocumentController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* What is left to do after a release, until the order is closed. */

Route::controller(OldDocumentController::class)
    ->prefix('orders/{number}/old-documents')
    ->group(static function (): void {
        Route::get('/', 'index');
        Route::post('/reading', 'read')->middleware(Ability::SeeToDocuments->gate());
        Route::post('/decision', 'decide')->middleware(Ability::SeeToDocuments->gate());
        Route::post('/message', 'tell')->middleware(Ability::SendHandover->gate());
        Route::post('/seen', 'seen')->middleware(Ability::SeeToDocuments->gate());
    });

Route::post('/orders/{number}/closing', [ClosingController::class, 'close'])->middleware(Ability::CloseOrder->gate());
