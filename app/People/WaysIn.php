<?php

namespace App\People;

use App\Models\User;
use Closure;
use Illuminate\Auth\Passwords\PasswordBroker;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;
use LogicException;

/** Ways in without a password, one for a person at a time, each used once: kept by the framework's brokers, which differ in how long they stand open. */
final class WaysIn
{
    private const INVITATIONS = 'invitations';

    private const PASSWORDS = 'passwords';

    /** An invitation for whoever has not joined yet, a new password for whoever has. */
    public static function kind(User $user): string
    {
        return $user->joined_at === null ? 'invitation' : 'password';
    }

    /** How long the person's way in stands open, minutes. */
    public static function minutes(User $user): int
    {
        return (int) config('auth.passwords.'.self::name($user).'.expire');
    }

    /** A new one, which takes the place of any before it; told once, kept as a hash. */
    public static function open(User $user): string
    {
        return self::broker($user)->createToken($user);
    }

    /** What was written to the person before leads nowhere from now on. */
    public static function close(User $user): void
    {
        self::broker($user)->deleteToken($user);
    }

    /** Whether one was opened so lately that no other is to take its place. */
    public static function isFresh(User $user): bool
    {
        return self::broker($user)->getRepository()->recentlyCreatedToken($user);
    }

    /**
     * @param  iterable<string>  $emails
     * @return list<string> those of them who have one
     */
    public static function standingOpen(iterable $emails): array
    {
        return array_values(DB::table('password_reset_tokens')->whereIn('email', collect($emails))->pluck('email')->map(strval(...))->all());
    }

    /**
     * Uses the way in, if the token opens it.
     *
     * @param  Closure(User, string): void  $choose  given the person and the new password
     */
    public static function take(User $user, string $token, string $password, Closure $choose): bool
    {
        return self::broker($user)->reset(['email' => $user->email, 'token' => $token, 'password' => $password], $choose) === PasswordBroker::PASSWORD_RESET;
    }

    private static function name(User $user): string
    {
        return $user->joined_at === null ? self::INVITATIONS : self::PASSWORDS;
    }

    private static function broker(User $user): PasswordBroker
    {
        $broker = Password::broker(self::name($user));

        return $broker instanceof PasswordBroker ? $broker : throw new LogicException('The broker is not the framework’s own.');
    }
}
