<?php

declare(strict_types=1);

use App\Http\Middleware\CompressAnswers;
use App\Http\Middleware\FollowScheme;
use App\Http\Middleware\GuardHeaders;
use App\Http\Middleware\RefuseLargeBodies;
use App\Http\RefusalAnswers;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Support\Facades\Route;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        then: static fn () => Route::middleware('web')->prefix('api')->group(__DIR__.'/../routes/api.php'),
    )
    ->withMiddleware(static function (Middleware $middleware): void {
        // Front end and API share an origin, and the package behind HandleCors is not installed.
        $middleware->remove(HandleCors::class);
        $middleware->prepend([GuardHeaders::class, CompressAnswers::class, RefuseLargeBodies::class]);
        $middleware->web(prepend: [FollowScheme::class]);
        $middleware->redirectGuestsTo('/sign-in');
        // The document is taken as it was typed: a trailing space in a chord line is the teacher's.
        $middleware->trimStrings(except: [static fn (): bool => true]);
        $middleware->convertEmptyStringsToNull(except: [static fn (): bool => true]);
    })
    ->withExceptions(static function (Exceptions $exceptions): void {
        RefusalAnswers::register($exceptions);
    })
    ->create();
