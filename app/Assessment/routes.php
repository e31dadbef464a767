<?php

declare(strict_types=1);

use App\Assessment\Http\QuestionController;
use App\Http\RouteId;
use App\People\Ability;
use App\Reading\ReadInWorker;
use Illuminate\Support\Facades\Route;

/* What specialists are asked about a request. */

Route::controller(QuestionController::class)->group(static function (): void {
    Route::get('/requests/{number}/questions', 'index');
    Route::post('/requests/{number}/questions', 'ask')->middleware(Ability::AssessRequest->gate());
    Route::post('/questions/{id}/answer', 'answer')
        ->where('id', RouteId::NUMBER)
        ->middleware([Ability::AnswerQuestion->gate(), ReadInWorker::class]);
    Route::prefix('questions/{id}')
        ->where(['id' => RouteId::NUMBER])
        ->group(static function (): void {
            Route::post('/claim', 'claim')->middleware(Ability::AnswerQuestion->gate());
            Route::post('/hand-back', 'handBack')->middleware(Ability::AnswerQuestion->gate());
            Route::post('/hand-on', 'handOn')->middleware(Ability::AnswerQuestion->gate());
        });
    Route::delete('/questions/{id}', 'withdraw')->where('id', RouteId::NUMBER)->middleware(Ability::AssessRequest->gate());
});
