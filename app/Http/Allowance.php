<?php

namespace App\Http;

use App\Models\User;
use Illuminate\Cache\RateLimiter;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** How much of the server's work one person may ask for within a minute: nobody's requests stop the others'. */
final readonly class Allowance
{
    private const SECONDS = 60;

    /** What any request costs beside its own work, ms (measured). */
    private const A_REQUEST_MS = 5.0;

    public function __construct(private RateLimiter $limiter)
    {
    }

    /**
     * Takes from the allowance before the work is begun.
     *
     * @param  'compute'|'sync'  $for
     * @param  float  $milliseconds  of work to come
     *
     * @throws TooManyRequestsHttpException where too little is left
     */
    public function take(User $user, string $for, float $milliseconds): void
    {
        $key = "{$for}:{$user->id}";
        $most = (int) config("limits.{$for}_ms");
        if ($this->limiter->tooManyAttempts($key, $most)) {
            $seconds = max(1, $this->limiter->availableIn($key));
            throw new TooManyRequestsHttpException($seconds, "That was a great deal of work within a minute: ask again in {$seconds} s.");
        }
        $this->limiter->increment($key, self::SECONDS, (int) ceil(self::A_REQUEST_MS + $milliseconds));
    }
}
