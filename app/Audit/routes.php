<?php

declare(strict_types=1);

use App\Audit\Http\LedgerController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* The ledger as a whole. */

Route::controller(LedgerController::class)
    ->middleware(Ability::ReadLedger->gate())
    ->group(function (): void {
        Route::get('/ledger', 'index');
        Route::get('/ledger/export', 'export');
        Route::get('/ledger/checker', 'checker');
    });
