<?php

namespace App\People;

use App\Jobs\SendLetter;
use App\Models\Letter;
use App\Models\School;
use App\Models\User;
use App\School\CurrentSchool;
use Illuminate\Support\Carbon;

/**
 * Letters that let somebody in: the first time, or after a password was forgotten. They wait in the school's outbox, where the owner
 * reads them and hands them on; where mail is set up they go by mail.
 */
final readonly class Letters
{
    public function __construct(private CurrentSchool $current)
    {
    }

    /** An invitation to whoever has not joined yet, a new password to whoever has. */
    public function to(User $user): Letter
    {
        $school = School::query()->findOrFail($user->school_id);

        return $this->current->within($school, function () use ($user, $school): Letter {
            $kind = WaysIn::kind($user);
            $ends = Carbon::now()->addMinutes(WaysIn::minutes($user));
            $way = rtrim((string) config('app.url'), '/').'/way-in#'.http_build_query(['email' => $user->email, 'token' => WaysIn::open($user)]);
            [$subject, $body] = $kind === 'invitation' ? self::invitation($user, $school, $way, $ends) : self::password($user, $school, $way, $ends);

            $letter = Letter::query()->create([
                'user_id' => $user->id, 'kind' => $kind, 'subject' => $subject, 'body' => $body, 'created_at' => now(), 'ends_at' => $ends,
            ]);
            if (self::mailIsSetUp()) {
                SendLetter::dispatch($letter->id);
            }

            return $letter;
        });
    }

    /** Whether letters leave the house; off where nothing was set. */
    public static function mailIsSetUp(): bool
    {
        return config('mail.default') !== 'outbox';
    }

    /** @return array{string, string} */
    private static function invitation(User $user, School $school, string $way, Carbon $ends): array
    {
        return ["{$school->name} invites you to Noble Turn", <<<TEXT
            Dear {$user->name},

            {$school->name} plans and logs its lessons with Noble Turn, and invites you to join.
            Open this and choose your password:

            {$way}

            It works once, until {$ends->copy()->setTimezone($school->time_zone)->format('l j F, H:i')}. After that, ask for a new one.
            TEXT];
    }

    /** @return array{string, string} */
    private static function password(User $user, School $school, string $way, Carbon $ends): array
    {
        return ['A new password for Noble Turn', <<<TEXT
            Dear {$user->name},

            somebody asked for a new password for your account at {$school->name}.
            If it was you, open this and choose one:

            {$way}

            It works once, until {$ends->copy()->setTimezone($school->time_zone)->format('l j F, H:i')}. If it was not you,
                do nothing: your password stays as it is.
            TEXT];
    }
}
