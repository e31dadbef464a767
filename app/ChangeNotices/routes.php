<?php

declare(strict_types=1);

use App\ChangeNotices\Http\ChangeNoticeController;
use App\ChangeNotices\Http\DistributionListController;
use App\People\Ability;
use Illuminate\Support\Facades\Route;

/* Notices of released orders, and to whom they go. */

Route::controller(ChangeNoticeController::class)->group(function (): void {
    Route::get('/orders/{number}/notice', 'ofOrder');
    Route::post('/orders/{number}/notice', 'issue')->middleware(Ability::ReleaseOrder->gate());
    Route::get('/change-notices/{number}', 'show');
    Route::get('/change-notices/{number}/{format}', 'file')->whereIn('format', ['html', 'pdf', 'json']);
    Route::post('/change-notices/{number}/sending', 'send')->middleware(Ability::ReleaseOrder->gate());
    Route::post('/change-notices/{number}/receipt', 'opened')->middleware(Ability::BeTold->gate());
    Route::post('/change-notices/{number}/acknowledgement', 'acknowledge')->middleware(Ability::BeTold->gate());
});

Route::get('/distribution-lists', [DistributionListController::class, 'index']);
Route::put('/distribution-lists/{code}', [DistributionListController::class, 'set'])->middleware(Ability::SetUp->gate());
