<?php

declare(strict_types=1);

use App\Documents\Http\DocumentController;
use App\People\Ability;
use App\Reading\ReadInWorker;
use Illuminate\Support\Facades\Route;

/* What is written and drawn about items. */

Route::controller(DocumentController::class)->group(static function (): void {
    Route::get('/files/{id}', 'content')->whereUuid('id');
    Route::get('/files/{id}/thumbnail', 'thumbnail')->whereUuid('id');
    Route::get('/items/{number}/documents', 'show');
    Route::put('/items/{number}/documents/{document}', 'link')->middleware(Ability::AttachFile->gate());
    Route::delete('/items/{number}/documents/{document}', 'unlink')->middleware(Ability::AttachFile->gate());
    Route::post('/items/{number}/files', 'attach')->middleware([Ability::AttachFile->gate(), ReadInWorker::class]);
    Route::delete('/items/{number}/files/{id}', 'takeAway')->whereUuid('id')->middleware(Ability::AttachFile->gate());
});
