<?php

declare(strict_types=1);

use App\Http\Problem;
use App\Http\RefuseForeignForms;
use App\Http\RefuseUnreadable;
use App\Http\StayEncrypted;
use App\Http\TellBuild;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Middleware\HandleCors;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__ . '/../routes/web.php', commands: __DIR__ . '/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->prepend(RefuseUnreadable::class);
        // The application and its API have one origin, so there is nothing for CORS to do.
        $middleware->remove(HandleCors::class);
        $middleware->web(replace: [ValidateCsrfToken::class => RefuseForeignForms::class]);
        $middleware->web(append: [TellBuild::class, StayEncrypted::class]);
        $middleware->redirectGuestsTo('/');
    })
    ->withCommands([
        __DIR__ . '/../app/Dossier/Commands',
        __DIR__ . '/../app/FollowThrough/Commands',
        __DIR__ . '/../app/Verification/Commands',
        __DIR__ . '/../app/Notices/Commands',
        __DIR__ . '/../app/Reading/Commands',
        __DIR__ . '/../app/Imports/Commands',
        __DIR__ . '/../app/SignIn/Commands',
        __DIR__ . '/../app/Ledger/Commands',
        __DIR__ . '/../app/Outgoing/Commands',
        __DIR__ . '/../app/Releases/Commands',
        __DIR__ . '/../app/Console/Commands',
        __DIR__ . '/../app/Structures/Commands',
    ])
    ->withExceptions(function (Exceptions $exceptions): void {
        Problem::register($exceptions);
    })
    ->create();
