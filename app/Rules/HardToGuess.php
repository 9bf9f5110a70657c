<?php

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A password that is not among the first anybody would try: the commonest ones, runs of keys, the own email. Common practice, no source. */
final readonly class HardToGuess implements ValidationRule
{
    /** What is left of the commonest passwords once figures and signs at either end are taken off. */
    private const COMMON = [
        'password', 'passwort', 'passw0rd', 'letmein', 'letmeinnow', 'welcome', 'welcomeback', 'iloveyou', 'sunshine', 'princess', 'football',
        'liverpool', 'baseball', 'superman',
        'admin', 'administrator', 'changeme', 'changemenow', 'default', 'secret', 'supersecret', 'trustno', 'whatever', 'qwerty', 'master', 'driving',
        'drivingschool', 'drivinginstructor',
        'instructor', 'nobleturn', 'noble-turn', 'demo-harbour', 'harbour', 'mypassword', 'yourpassword', 'thisismypassword', 'passwordpassword',
        'longpassword', 'test', 'testtest', 'learner', 'mirrorssignal',
    ];

    private const RUNS = [
        'abcdefghijklmnopqrstuvwxyz', '01234567890123456789', 'qwertyuiopasdfghjklzxcvbnm', 'qazwsxedcrfvtgbyhnujmik', '1qaz2wsx3edc4rfv5tgb6yhn',
        'q1w2e3r4t5y6u7i8o9p0',
    ];

    private const FEWEST_DIFFERENT = 4;

    /** @param  string  $email  whose password it is to be */
    public function __construct(private string $email)
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $said = mb_strtolower(is_string($value) ? $value : '');
        $name = mb_strtolower(explode('@', $this->email)[0]);
        match (true) {
            $said === mb_strtolower($this->email) || (mb_strlen($name) > 3 && str_starts_with($said, $name)) => $fail(
                'Choose one that does not begin with your email.',
            ),
            self::isCommon($said) => $fail('That is among the first that anybody would try: choose another.'),
            default => null,
        };
    }

    private static function isCommon(string $said): bool
    {
        if (
            count(array_unique(mb_str_split($said))) < self::FEWEST_DIFFERENT
            || in_array(trim((string) preg_replace('/^[\d\W_]+|[\d\W_]+$/u', '', $said)), self::COMMON, true)
        ) {
            return true;
        }
        foreach (self::RUNS as $run) {
            if (str_contains($run, $said) || str_contains(strrev($run), $said)) {
                return true;
            }
        }

        return false;
    }
}
