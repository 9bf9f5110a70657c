<?php

use App\Console\ComputeCommand;
use App\Http\Middleware\SecurityHeaders;
use App\Http\ProblemRenderer;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        health: '/up',
    )
    ->withCommands([ComputeCommand::class])
    ->withMiddleware(function (Middleware $middleware): void {
        // The interface and its API share one origin: no other may ask.
        $middleware->remove(HandleCors::class);
        $middleware->append(SecurityHeaders::class);
        // Numbers and texts are compared as typed; an empty text is an answer too.
        $middleware->convertEmptyStringsToNull(except: [fn (Request $request): bool => $request->is('api/compute/*')]);
        $middleware->trimStrings(except: [fn (Request $request): bool => $request->is('api/compute/*')]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*') || $request->expectsJson());
        ProblemRenderer::register($exceptions);
    })->create();
