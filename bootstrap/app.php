<?php

use App\Console\ComputeCommand;
use App\Console\ContractCommand;
use App\Console\InstallationCommand;
use App\Console\RulesCommand;
use App\Http\Middleware\PlainInput;
use App\Http\Middleware\SecurityHeaders;
use App\Http\ProblemRenderer;
use App\Jobs\TellLearners;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Bootstrap\LoadEnvironmentVariables;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
    )
    ->withCommands([ComputeCommand::class, ContractCommand::class, InstallationCommand::class, RulesCommand::class])
    ->withSchedule(static function (Schedule $schedule): void {
        $schedule->job(TellLearners::class)->everyMinute();
    })
    ->withMiddleware(function (Middleware $middleware): void {
        // The interface and its API share one origin: no other may ask.
        $middleware->remove(HandleCors::class);
        // Whom to believe is a setting; a host is never taken from anybody: letters name our own.
        $middleware->trustProxies(headers: Request::HEADER_X_FORWARDED_FOR | Request::HEADER_X_FORWARDED_PROTO);
        $middleware->append(SecurityHeaders::class);
        $middleware->prependToGroup('web', PlainInput::class);
        // Numbers and texts are compared as typed; an empty text is an answer too.
        $middleware->convertEmptyStringsToNull(except: [fn (Request $request): bool => $request->is('api/compute/*')]);
        $middleware->trimStrings(except: [fn (Request $request): bool => $request->is('api/compute/*')]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*') || $request->expectsJson());
        ProblemRenderer::register($exceptions);
    })->create();

// Settings come from the environment that the start command makes, never from a file that somebody forgot.
$app->bind(LoadEnvironmentVariables::class, fn (): object => new class
{
    public function bootstrap(): void
    {
    }
});

return $app;
