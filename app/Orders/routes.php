<?php

declare(strict_types=1);

use App\Http\RouteId;
use App\Orders\Http\AdoptionController;
use App\Orders\Http\BelongingController;
use App\Orders\Http\FollowUpController;
use App\Orders\Http\ModelController;
use App\Orders\Http\NewNumberController;
use App\Orders\Http\OrderController;
use App\Orders\Http\OrderItemsController;
use App\Orders\Http\OrderSheetController;
use App\Orders\Http\RedlineController;
use App\Orders\Http\ReplacementController;
use App\Orders\Http\ReviewController;
use App\Orders\Http\SteeringController;
use App\Orders\Http\SubordinationController;
use App\Orders\Http\TaskWorkController;
use App\Orders\Http\TransferController;
use App\Orders\Http\WaiverController;
use App\Orders\Http\WorkController;
use App\Orders\Http\WorksheetController;
use App\People\Ability;
use App\Reading\ReadInWorker;
use Illuminate\Support\Facades\Route;

/* Change orders and the work under them. */

Route::controller(OrderController::class)
    ->prefix('orders/{number}')
    ->group(static function (): void {
        Route::patch('/', 'plan')->middleware(Ability::PlanOrder->gate());
        Route::put('/items/{item}', 'putItem')->middleware(Ability::PlanOrder->gate());
        Route::delete('/items/{item}', 'takeItemOff')->middleware(Ability::PlanOrder->gate());
        Route::post('/opening', 'open')->middleware(Ability::PlanOrder->gate());
        Route::post('/review', 'submit')->middleware(Ability::SubmitOrder->gate());
        Route::post('/withdrawal', 'withdraw')->middleware(Ability::PlanOrder->gate());
        Route::post('/hold', 'hold')->middleware(Ability::PlanOrder->gate());
        Route::delete('/hold', 'goOn')->middleware(Ability::PlanOrder->gate());
    });

Route::post('/orders/{number}/waivers', [WaiverController::class, 'waive'])->middleware(Ability::WaiveCheck->gate());
Route::delete('/orders/{number}/waivers/{check}', [WaiverController::class, 'withdraw'])->middleware(Ability::WaiveCheck->gate());
Route::get('/orders/{number}/belongings', [BelongingController::class, 'index']);
Route::post('/orders/{number}/belongings', [BelongingController::class, 'decide'])->middleware(Ability::PlanOrder->gate());
Route::put('/orders/{number}/parent', [SubordinationController::class, 'put'])->middleware(Ability::PlanOrder->gate());
Route::delete('/orders/{number}/parent', [SubordinationController::class, 'free'])->middleware(Ability::PlanOrder->gate());

Route::controller(OrderItemsController::class)
    ->prefix('orders/{number}')
    ->group(static function (): void {
        Route::get('/pulled-items', 'pulled');
        Route::post('/items', 'put')->middleware(Ability::PlanOrder->gate());
        Route::delete('/items', 'takeOff')->middleware(Ability::PlanOrder->gate());
        // The editor says it too, who has done it.
        Route::put('/done', 'say')->middleware(Ability::EditLines->gate());
    });

Route::get('/orders/{number}/new-numbers', [NewNumberController::class, 'index']);
Route::post('/orders/{number}/items/{item}/new-number', [NewNumberController::class, 'give'])->middleware(Ability::PlanOrder->gate());
Route::delete('/orders/{number}/new-numbers/{item}', [NewNumberController::class, 'takeBack'])->middleware(Ability::PlanOrder->gate());
Route::controller(ReviewController::class)
    ->prefix('orders/{number}')
    ->group(static function (): void {
        Route::get('/review', 'show');
        Route::get('/consequences', 'consequences');
        Route::get('/dependences', 'dependences');
        Route::get('/at-work', 'atWork');
        Route::post('/signature', 'sign')->middleware([Ability::SignOrder->gate(), 'throttle:signature']);
        Route::post('/return', 'sendBack')->middleware(Ability::ReturnOrder->gate());
    });

Route::post('/orders/{number}/path', [SteeringController::class, 'steer'])->middleware(Ability::SetUp->gate());

Route::controller(RedlineController::class)
    ->prefix('orders/{number}/items/{item}')
    ->group(static function (): void {
        Route::get('/redline', 'show');
        Route::post('/edits', 'edit')->middleware(Ability::EditLines->gate());
        Route::post('/edits-together', 'editTogether')->middleware(Ability::EditLines->gate());
        Route::get('/sheet/{format}', 'sheet');
        Route::post('/sheet', 'readSheet')->middleware([Ability::EditLines->gate(), ReadInWorker::class]);
    });
Route::controller(ReplacementController::class)
    ->prefix('orders/{number}')
    ->group(static function (): void {
        Route::get('/replacement', 'show');
        // The editor of the order, or who plans it.
        Route::post('/replacement', 'replace')->middleware(Ability::EditLines->gate());
        Route::post('/strokes/{stroke}/undo', 'undo')->whereUuid('stroke')->middleware(Ability::EditLines->gate());
    });
Route::controller(OrderSheetController::class)
    ->prefix('orders/{number}')
    ->group(static function (): void {
        Route::get('/worksheet/{format}', 'take');
        Route::post('/sheet', 'bringBack')->middleware([Ability::EditLines->gate(), ReadInWorker::class]);
        Route::get('/sheets/{sheet}/marked', 'marked')->whereUuid('sheet');
    });
Route::post('/orders/{number}/model', [ModelController::class, 'take'])->middleware([Ability::EditLines->gate(), ReadInWorker::class]);
Route::post('/orders/{number}/model/unwanted', [ModelController::class, 'unwanted'])->middleware(Ability::EditLines->gate());
Route::controller(WorksheetController::class)
    ->prefix('orders/{number}')
    ->group(static function (): void {
        Route::get('/worksheet', 'show');
        Route::post('/worksheet', 'edit')->middleware(Ability::EditLines->gate());
        Route::post('/undo', 'undo')->middleware(Ability::EditLines->gate());
        Route::post('/redo', 'redo')->middleware(Ability::EditLines->gate());
    });
Route::controller(TaskWorkController::class)
    ->prefix('tasks/{number}/edits')
    ->group(static function (): void {
        Route::get('/', 'show');
        Route::post('/undo', 'undo')->middleware(Ability::EditLines->gate());
        Route::post('/redo', 'redo')->middleware(Ability::EditLines->gate());
    });
Route::controller(TransferController::class)
    ->prefix('orders/{number}')
    ->group(static function (): void {
        Route::get('/transfer', 'show');
        // The editor of the order that gets them, or who plans it.
        Route::post('/transfer', 'carry')->middleware(Ability::EditLines->gate());
    });
Route::controller(FollowUpController::class)
    ->prefix('orders/{number}/items/{item}/plants/{plant}/follow-up')
    ->group(static function (): void {
        Route::put('/', 'set')->middleware(Ability::PlanOrder->gate());
        Route::delete('/', 'takeBack')->middleware(Ability::PlanOrder->gate());
    });
Route::get('/items/{number}/older-uses', [AdoptionController::class, 'show']);
Route::get('/items/{number}/planned-uses', [AdoptionController::class, 'planned']);
Route::post('/orders/{number}/adoptions', [AdoptionController::class, 'adopt'])->middleware(Ability::PlanOrder->gate());
Route::controller(WorkController::class)
    ->prefix('orders/{number}/items/{item}/works/{work}')
    ->group(static function (): void {
        Route::post('/undo', 'undo')->middleware(Ability::EditLines->gate());
        Route::post('/redo', 'redo')->middleware(Ability::EditLines->gate());
        Route::post('/iterations', 'keep')->middleware(Ability::EditLines->gate());
        Route::post('/iterations/{iteration}/return', 'goBack')
            ->where('iteration', RouteId::NUMBER)
            ->middleware(Ability::EditLines->gate());
        Route::get('/newer', 'newer');
        Route::post('/newer', 'merge')->middleware(Ability::EditLines->gate());
    });
