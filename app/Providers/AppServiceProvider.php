<?php

namespace App\Providers;

use App\Http\SoundJson;
use App\School\CurrentSchool;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Routing\ResponseFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Validation\Rules\Password;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentSchool::class);
        $this->app->singleton(ResponseFactory::class, SoundJson::class);
    }

    /** Whose account is tried; whatever is no text is nobody's. */
    private static function account(Request $request): string
    {
        $email = $request->input('email');

        return is_string($email) ? mb_strtolower($email) : '';
    }

    public function boot(): void
    {
        JsonResource::withoutWrapping();
        // While building and testing; a live lesson is not broken off for a lazy query.
        Model::shouldBeStrict(! $this->app->environment('production'));
        Password::defaults(Password::min(10));
        // What wipes tables is for tests; the demo is made anew by a command that looks where it is.
        DB::prohibitDestructiveCommands($this->app->environment() === 'production');
        // Guessing is slowed by address and account, and by address alone.
        RateLimiter::for('sign-in', fn (Request $request): array => [
            Limit::perMinute(6)->by('account:'.self::account($request).'|'.$request->ip()),
            Limit::perMinute(30)->by('address:'.$request->ip()),
        ]);
    }
}
