<?php

namespace App\Providers;

use App\Database\Patient;
use App\Http\SignInLimits;
use App\Http\SoundJson;
use App\Models\Drawing;
use App\Models\PlannedItem;
use App\Models\Promise;
use App\Models\Remedy;
use App\Policies\OfALesson;
use App\Rights\Right;
use App\School\ChangeLog;
use App\School\CurrentSchool;
use App\School\SchoolVersion;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Routing\ResponseFactory;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Validation\Rules\Password;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentSchool::class);
        $this->app->singleton(ResponseFactory::class, SoundJson::class);
        Connection::resolverFor('mariadb', static fn (mixed ...$given): Connection => new Patient(...$given));
    }

    public function boot(): void
    {
        RulePacks::bring(...self::packs());
        JsonResource::withoutWrapping();
        // While building and testing; a live lesson is not broken off for a lazy query.
        Model::shouldBeStrict(! $this->app->environment('production'));
        Password::defaults(Password::min(10));
        // What wipes tables is for tests; the demo is made anew by a command that looks where it is.
        DB::prohibitDestructiveCommands($this->app->environment() === 'production');
        foreach (Right::cases() as $right) {
            Gate::define($right->value, $right->isOf(...));
        }
        foreach ([PlannedItem::class, Promise::class, Remedy::class, Drawing::class] as $row) {
            Gate::policy($row, OfALesson::class);
        }
        ChangeLog::watch();
        SchoolVersion::watch();
        RateLimiter::for('sign-in', SignInLimits::of(...));
        RateLimiter::for(
            'calendar', static fn (Request $request): Limit => Limit::perMinute(config()->integer('limits.calendar'))->by((string) $request->ip()),
        );
    }

    /** @return list<RulePack> that this installation brings along */
    private static function packs(): array
    {
        /** @var list<string> $classes */
        $classes = config('packs.brought');

        return array_map(static function (string $class): RulePack {
            $pack = class_exists($class) ? new $class : null;

            return $pack instanceof RulePack ? $pack : throw new \RuntimeException("NOBLE_TURN_PACKS names {$class}, which is no rule pack.");
        }, $classes);
    }
}
