<?php

declare(strict_types=1);

use App\Assessment\Http\QuestionController;
use App\CutIn\Http\CutInController;
use App\Desk\Http\DeskController;
use App\Documents\Http\DocumentController;
use App\Dossier\Http\ChangeController;
use App\Dossier\Http\RaiseOrderController;
use App\Economics\Http\MoneyController;
use App\Forms\Http\FormController;
use App\Forms\Http\TemplateController;
use App\Imports\Http\ImportController;
use App\Meetings\Http\MeetingController;
use App\Orders\Http\AdoptionController;
use App\Orders\Http\IterationController;
use App\Orders\Http\OrderController;
use App\Orders\Http\RedlineController;
use App\Orders\Http\ReviewController;
use App\People\Ability;
use App\People\Http\FavouriteController;
use App\People\Http\PeopleController;
use App\People\Http\SessionController;
use App\People\Http\SessionOfPassword;
use App\People\Http\TableLayoutController;
use App\Planning\Http\ExposureController;
use App\Problems\Http\ReportController;
use App\Reach\Http\ReachController;
use App\Reading\ReadingController;
use App\Reading\ReadInWorker;
use App\Releases\Http\HandoverController;
use App\Releases\Http\ReleaseController;
use App\Requests\Http\ChangeFileController;
use App\Requests\Http\GatheringController;
use App\Requests\Http\RequestController;
use App\Structures\Http\CategoryController;
use App\Structures\Http\CompareController;
use App\Structures\Http\ItemController;
use App\Structures\Http\KindController;
use App\Structures\Http\StructureController;
use App\Structures\Http\StructureFileController;
use App\Structures\Http\SummaryController;
use App\Structures\Http\WithoutDamagedIndex;
use App\Vocabulary\Http\ChoiceController;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

// An id that the database can have; anything longer is nothing.
$number = '[0-9]{1,18}';
$may = static fn(Ability $ability): string => "can:{$ability->value}";

Route::post('/api/session', [SessionController::class, 'store'])->middleware('throttle:sign-in');

Route::prefix('api')
    ->middleware(['auth:sanctum', SessionOfPassword::class, WithoutDamagedIndex::class])
    ->group(static function () use ($may, $number): void {
        Route::get('/session', [SessionController::class, 'show']);
        Route::delete('/session', [SessionController::class, 'destroy']);
        Route::get('/people', [PeopleController::class, 'index']);
        Route::get('/readings/{id}', [ReadingController::class, 'show'])->whereUuid('id');
        Route::get('/favourites', [FavouriteController::class, 'index']);
        Route::post('/favourites', [FavouriteController::class, 'store'])->middleware($may(Ability::KeepPage));
        Route::delete('/favourites/{id}', [FavouriteController::class, 'destroy'])
            ->where('id', $number)
            ->middleware($may(Ability::KeepPage));
        Route::put('/table-layouts/{name}', [TableLayoutController::class, 'update'])
            ->where('name', '[a-z0-9-]{1,80}')
            ->middleware($may(Ability::KeepPage));
        Route::get('/desk', [DeskController::class, 'show']);

        Route::get('/items', [ItemController::class, 'index']);
        Route::post('/items', [ItemController::class, 'store'])->middleware($may(Ability::AddItem));
        Route::get('/item-number', [ItemController::class, 'number']);
        Route::get('/categories', [CategoryController::class, 'index']);
        Route::post('/categories', [CategoryController::class, 'store'])->middleware($may(Ability::SetUp));
        Route::patch('/categories/{code}', [CategoryController::class, 'update'])->middleware($may(Ability::SetUp));
        Route::get('/choices', [ChoiceController::class, 'index']);
        Route::post('/choices', [ChoiceController::class, 'store'])->middleware($may(Ability::SetUp));
        Route::patch('/choices/{list}/{code}', [ChoiceController::class, 'update'])->middleware($may(Ability::SetUp));
        Route::get('/kinds', [KindController::class, 'index']);
        Route::patch('/kinds/{kind}', [KindController::class, 'update'])->middleware($may(Ability::SetUp));
        Route::get('/items/{number}', [ItemController::class, 'show']);
        Route::get('/items/{number}/structure', [StructureController::class, 'show']);
        Route::get('/items/{number}/where-used', [StructureController::class, 'whereUsed']);
        Route::get('/items/{number}/summary', [SummaryController::class, 'show']);
        Route::get('/items/{number}/structure/{format}', [StructureFileController::class, 'show']);
        Route::controller(DocumentController::class)->group(static function () use ($may): void {
            Route::get('/files/{id}', 'content')->whereUuid('id');
            Route::get('/items/{number}/documents', 'show');
            Route::put('/items/{number}/documents/{document}', 'link')->middleware($may(Ability::AttachFile));
            Route::delete('/items/{number}/documents/{document}', 'unlink')->middleware($may(Ability::AttachFile));
            Route::post('/items/{number}/files', 'attach')->middleware([$may(Ability::AttachFile), ReadInWorker::class]);
            Route::delete('/items/{number}/files/{id}', 'takeAway')->whereUuid('id')->middleware($may(Ability::AttachFile));
        });
        Route::get('/comparison', [CompareController::class, 'show']);
        // Whoever may read may compare: the file changes nothing of ours.
        Route::post('/comparison-files', [CompareController::class, 'bring'])->middleware([
            $may(Ability::CompareFile),
            ReadInWorker::class,
        ]);
        Route::get('/comparison/{format}', [CompareController::class, 'file']);
        Route::get('/exposure', [ExposureController::class, 'index']);

        Route::controller(CutInController::class)->group(static function () use ($may): void {
            // Asking changes nothing: whoever may read may ask. The question is too long for an address.
            Route::post('/cut-in', 'plan')->middleware($may(Ability::AskCutIn));
            Route::post('/cut-in/rows', 'rows')->middleware($may(Ability::AskCutIn));
            Route::get('/requests/{number}/cut-in', 'start');
            Route::get('/requests/{number}/cut-ins', 'chosen');
            Route::post('/requests/{number}/cut-ins', 'choose')->middleware($may(Ability::AssessRequest));
        });

        Route::get('/catalogue/{format}', [ItemController::class, 'file']);
        Route::get('/imports', [ImportController::class, 'index']);
        Route::get('/imports/{id}', [ImportController::class, 'show'])->whereUuid('id');
        Route::get('/imports/{id}/marked', [ImportController::class, 'marked'])->whereUuid('id');
        Route::post('/imports', [ImportController::class, 'store'])->middleware($may(Ability::ImportData));
        Route::delete('/imports/{id}', [ImportController::class, 'cancel'])
            ->whereUuid('id')
            ->middleware($may(Ability::ImportData));

        Route::get('/changes', [ChangeController::class, 'index']);
        Route::get('/dossiers/{number}', [ChangeController::class, 'show']);

        Route::get('/reports-like', [ReportController::class, 'like']);
        Route::controller(ReportController::class)
            ->prefix('reports')
            ->group(static function () use ($may): void {
                Route::get('/', 'index');
                Route::post('/', 'store')->middleware($may(Ability::ReportProblem));
                Route::get('/{number}', 'show');
                Route::post('/{number}/reply', 'reply')->middleware($may(Ability::ReportProblem));
                Route::post('/{number}/answer', 'answer')->middleware($may(Ability::AssessRequest));
                Route::post('/{number}/return', 'sendBack')->middleware($may(Ability::AssessRequest));
                Route::post('/{number}/duplicate', 'duplicate')->middleware($may(Ability::AssessRequest));
                Route::post('/{number}/reopening', 'reopen')->middleware($may(Ability::AssessRequest));
            });
        Route::controller(GatheringController::class)
            ->prefix('reports/{number}/requests/{request}')
            ->group(static function () use ($may): void {
                Route::put('/', 'gather')->middleware($may(Ability::AssessRequest));
                Route::delete('/', 'apart')->middleware($may(Ability::AssessRequest));
            });
        Route::controller(ChangeFileController::class)->group(static function () use ($may): void {
            Route::get('/change-files/{id}', 'content')->whereUuid('id');
            Route::delete('/change-files/{id}', 'takeAway')->whereUuid('id')->middleware($may(Ability::ReportProblem));
            Route::post('/requests/{number}/files', 'toRequest')->middleware([$may(Ability::ReportProblem), ReadInWorker::class]);
            Route::post('/reports/{number}/files', 'toReport')->middleware([$may(Ability::ReportProblem), ReadInWorker::class]);
        });

        Route::controller(ReachController::class)
            ->prefix('requests/{number}')
            ->group(static function () use ($may): void {
                Route::get('/reach', 'show');
                Route::get('/reach-picture', 'picture');
                Route::post('/reach', 'decide')->middleware($may(Ability::AssessRequest));
            });
        Route::controller(TemplateController::class)
            ->prefix('form-templates')
            ->group(static function () use ($may, $number): void {
                Route::get('/', 'index');
                Route::get('/blank', 'blank');
                Route::get('/{id}/file', 'file')->where('id', $number);
                Route::post('/', 'store')->middleware([$may(Ability::SetUp), ReadInWorker::class]);
                Route::patch('/{id}', 'update')->where('id', $number)->middleware($may(Ability::SetUp));
                Route::post('/{id}/file', 'replace')
                    ->where('id', $number)
                    ->middleware([$may(Ability::SetUp), ReadInWorker::class]);
            });
        Route::controller(FormController::class)->group(static function () use ($may): void {
            Route::get('/requests/{number}/forms', 'index');
            Route::post('/requests/{number}/forms', 'handOut')->middleware($may(Ability::AssessRequest));
            Route::post('/requests/{number}/returned-form', 'look')->middleware([$may(Ability::AssessRequest), ReadInWorker::class]);
            Route::post('/requests/{number}/returned-form/taken', 'takeIn')->middleware([
                $may(Ability::AssessRequest),
                ReadInWorker::class,
            ]);
            Route::get('/forms/{number}/file', 'file');
            Route::delete('/forms/{number}', 'withdraw')->middleware($may(Ability::AssessRequest));
            Route::delete('/forms/{number}/taken', 'takeBack')->middleware($may(Ability::AssessRequest));
        });
        Route::controller(QuestionController::class)->group(static function () use ($may, $number): void {
            Route::get('/requests/{number}/questions', 'index');
            Route::post('/requests/{number}/questions', 'ask')->middleware($may(Ability::AssessRequest));
            Route::post('/questions/{id}/answer', 'answer')
                ->where('id', $number)
                ->middleware([$may(Ability::AnswerQuestion), ReadInWorker::class]);
            Route::delete('/questions/{id}', 'withdraw')->where('id', $number)->middleware($may(Ability::AssessRequest));
        });
        Route::controller(MoneyController::class)
            ->prefix('requests/{number}')
            ->group(static function () use ($may, $number): void {
                Route::get('/money', 'show');
                Route::post('/figures', 'say')->middleware($may(Ability::AssessRequest));
                Route::delete('/figures/{id}', 'takeBack')->where('id', $number)->middleware($may(Ability::AssessRequest));
            });
        Route::get('/meeting', [MeetingController::class, 'show']);
        Route::put('/meeting', [MeetingController::class, 'arrange'])->middleware($may(Ability::DecideRequest));
        Route::controller(RequestController::class)
            ->prefix('requests')
            ->group(static function () use ($may): void {
                Route::post('/', 'store')->middleware($may(Ability::RaiseRequest));
                Route::post('/{number}/answer', 'answer')->middleware($may(Ability::RaiseRequest));
                Route::post('/{number}/finding', 'assess')->middleware($may(Ability::AssessRequest));
                Route::post('/{number}/decision', 'decide')->middleware($may(Ability::DecideRequest));
                Route::post('/{number}/gathering', 'gather')->middleware($may(Ability::AssessRequest));
                Route::post('/{number}/apart', 'apart')->middleware($may(Ability::AssessRequest));
                Route::post('/{number}/split', 'split')->middleware($may(Ability::AssessRequest));
            });
        Route::post('/requests/{number}/order', [RaiseOrderController::class, 'order'])->middleware($may(Ability::RaiseOrder));

        Route::controller(OrderController::class)
            ->prefix('orders/{number}')
            ->group(static function () use ($may): void {
                Route::patch('/', 'plan')->middleware($may(Ability::PlanOrder));
                Route::put('/items/{item}', 'putItem')->middleware($may(Ability::PlanOrder));
                Route::delete('/items/{item}', 'takeItemOff')->middleware($may(Ability::PlanOrder));
                Route::post('/opening', 'open')->middleware($may(Ability::PlanOrder));
                Route::post('/review', 'submit')->middleware($may(Ability::SubmitOrder));
                Route::post('/withdrawal', 'withdraw')->middleware($may(Ability::PlanOrder));
            });
        Route::post('/orders/{number}/release', [ReleaseController::class, 'release'])->middleware($may(Ability::ReleaseOrder));
        Route::post('/orders/{number}/closing', [ReleaseController::class, 'close'])->middleware($may(Ability::CloseOrder));

        Route::controller(ReviewController::class)
            ->prefix('orders/{number}')
            ->group(static function () use ($may): void {
                Route::get('/review', 'show');
                Route::get('/consequences', 'consequences');
                Route::post('/signature', 'sign')->middleware([$may(Ability::SignOrder), 'throttle:signature']);
                Route::post('/return', 'sendBack')->middleware($may(Ability::ReturnOrder));
            });

        Route::controller(RedlineController::class)
            ->prefix('orders/{number}/items/{item}')
            ->group(static function () use ($may): void {
                Route::get('/redline', 'show');
                Route::post('/edits', 'edit')->middleware($may(Ability::ReviseStructure));
                Route::post('/edits-together', 'editTogether')->middleware($may(Ability::ReviseStructure));
                Route::get('/sheet/{format}', 'sheet');
                Route::post('/sheet', 'readSheet')->middleware([$may(Ability::ReviseStructure), ReadInWorker::class]);
                Route::post('/undo', 'undo')->middleware($may(Ability::ReviseStructure));
                Route::post('/redo', 'redo')->middleware($may(Ability::ReviseStructure));
                Route::post('/newer', 'bringInNewer')->middleware($may(Ability::ReviseStructure));
            });
        Route::get('/items/{number}/older-uses', [AdoptionController::class, 'show']);
        Route::get('/items/{number}/planned-uses', [AdoptionController::class, 'planned']);
        Route::post('/orders/{number}/adoptions', [AdoptionController::class, 'adopt'])->middleware($may(Ability::PlanOrder));
        Route::controller(IterationController::class)
            ->prefix('orders/{number}/items/{item}/iterations')
            ->group(static function () use ($may, $number): void {
                Route::post('/', 'keep')->middleware($may(Ability::ReviseStructure));
                Route::post('/{iteration}/return', 'goBack')->where('iteration', $number)->middleware($may(Ability::ReviseStructure));
            });

        Route::post('/handovers/{name}/delivery', [HandoverController::class, 'send'])->middleware($may(Ability::SendHandover));
        Route::get('/handovers/{name}/files/{format}', [HandoverController::class, 'file']);
        Route::any('/{rest}', static fn() => abort(404))->where('rest', '.*');
    });

// Whether this copy runs and reaches its database, for whoever watches over it.
Route::get(
    '/up',
    static fn() => response(DB::selectOne('SELECT 1 AS up')->up === 1 ? 'up' : 'down', 200, ['Content-Type' => 'text/plain']),
)->withoutMiddleware('web');

// Everything else is a page of the application in the browser.
Route::view('/{page?}', 'application')->where('page', '.*');
