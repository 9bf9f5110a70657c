<?php

namespace App\Http;

use App\Models\User;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;

/**
 * Slows down guessing, without locking anybody out of their own account: a device that has signed in to it before is told by a cookie
 * of its own and counted by itself, whatever others try from the same address or from everywhere.
 */
final class SignInLimits
{
    private const KNOWN = 'known_device';

    private const A_YEAR_MIN = 525_600;

    /** @return list<Limit> */
    public static function of(Request $request): array
    {
        $account = self::account($request);
        $device = self::known($request, $account);
        if ($device !== null) {
            return [Limit::perMinute(self::most('known_device'))->by("device:{$device}")];
        }

        return [
            Limit::perMinute(self::most('account_and_address'))->by("pair:{$account}|{$request->ip()}"),
            Limit::perMinute(self::most('address'))->by("address:{$request->ip()}"),
            ...($account === '' ? [] : [Limit::perMinutes(15, self::most('account'))->by("account:{$account}")]),
        ];
    }

    /** This device has signed in: it is known from now on. */
    public static function remember(User $user): void
    {
        Cookie::queue(self::KNOWN, hash('sha256', $user->email).'|'.Str::random(24), self::A_YEAR_MIN);
    }

    /** Whose account is tried; whatever is no text is nobody's. */
    private static function account(Request $request): string
    {
        $email = $request->input('email') ?? $request->user()?->email;

        return is_string($email) ? mb_strtolower(trim($email)) : '';
    }

    private static function known(Request $request, string $account): ?string
    {
        // Decrypted by the framework: what did not come from here is no cookie.
        $said = $request->cookie(self::KNOWN);
        [$of, $device] = [...explode('|', is_string($said) ? $said : '', 2), ''];

        return $device !== '' && hash_equals($of, hash('sha256', $account)) ? $device : null;
    }

    private static function most(string $which): int
    {
        return (int) config("limits.{$which}");
    }
}
