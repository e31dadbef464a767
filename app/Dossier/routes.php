<?php

declare(strict_types=1);

use App\Dossier\Http\ChangeController;
use App\Dossier\Http\CutInOutcomeController;
use App\Dossier\Http\CutInTaskController;
use App\Dossier\Http\OrderFromSheetController;
use App\Dossier\Http\ProposalController;
use App\Dossier\Http\RaiseOrderController;
use App\Dossier\Http\ReferenceController;
use App\Dossier\Http\TrialController;
use App\Dossier\RequestPaths\Http\RequestPathController;
use App\Http\RouteId;
use App\People\Ability;
use App\Reading\ReadInWorker;
use Illuminate\Support\Facades\Route;

/* Changes as a whole. */

Route::get('/changes', [ChangeController::class, 'index']);
Route::get('/cut-in-outcomes', CutInOutcomeController::class);
Route::get('/relations/{number}', [ChangeController::class, 'relations']);
Route::get('/dossiers/{number}', [ChangeController::class, 'show']);
Route::post('/requests/{number}/order', [RaiseOrderController::class, 'order'])->middleware(Ability::RaiseOrder->gate());
Route::post('/requests/{number}/proposal', [ProposalController::class, 'open'])->middleware(Ability::EditLines->gate());
Route::delete('/requests/{number}/proposal', [ProposalController::class, 'drop'])->middleware(Ability::EditLines->gate());
Route::controller(RequestPathController::class)
    ->prefix('requests/{number}/path')
    ->group(static function (): void {
        Route::put('/', 'choose')->middleware(Ability::AssessRequest->gate());
        Route::post('/', 'steer')->middleware(Ability::SetUp->gate());
        Route::post('/signature', 'sign')->middleware(Ability::JudgeRequest->gate());
        Route::post('/sent-back', 'sendBack')->middleware(Ability::JudgeRequest->gate());
        Route::post('/rejection', 'reject')->middleware(Ability::JudgeRequest->gate());
    });
Route::post('/approval-paths/trial', TrialController::class)->middleware(Ability::SetUp->gate());
Route::post('/changes/{number}/tasks/cut-in', CutInTaskController::class)->middleware(Ability::ManageTasks->gate());
Route::post('/orders', [RaiseOrderController::class, 'raise'])->middleware(Ability::RaiseOrder->gate());
Route::controller(OrderFromSheetController::class)
    ->prefix('order-sheet')
    ->group(static function (): void {
        Route::get('/{format}', 'empty')->whereIn('format', ['csv', 'xlsx', 'json']);
        Route::post('/', 'raise')->middleware([Ability::RaiseOrder->gate(), ReadInWorker::class]);
        Route::get('/marked/{sheet}', 'marked')->whereUuid('sheet');
    });
Route::put('/orders/{number}/requests/{request}', [RaiseOrderController::class, 'add'])->middleware(Ability::PlanOrder->gate());
Route::delete('/orders/{number}/requests/{request}', [RaiseOrderController::class, 'takeOut'])->middleware(Ability::PlanOrder->gate());
Route::controller(ReferenceController::class)
    ->prefix('changes/{number}/references')
    ->group(static function (): void {
        Route::get('/', 'index');
        Route::post('/', 'add')->middleware(Ability::AttachFile->gate());
        Route::delete('/{reference}', 'remove')->where('reference', RouteId::NUMBER)->middleware(Ability::AttachFile->gate());
    });
