<?php

namespace App\School;

use App\Models\School;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Contracts\Auth\Factory;

/** The school whose data this request may see: that of the signed-in user, or one entered on purpose (seeding, first run). */
final class CurrentSchool
{
    private ?string $entered = null;

    public function __construct(private readonly Factory $auth)
    {
    }

    /** @throws AuthenticationException where nobody is signed in and no school was entered */
    public function id(): string
    {
        return $this->entered ?? $this->auth->guard()->user()->school_id ?? throw new AuthenticationException;
    }

    public function school(): School
    {
        return School::query()->findOrFail($this->id());
    }

    /**
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    public function within(School $school, callable $work): mixed
    {
        $before = $this->entered;
        $this->entered = $school->id;
        try {
            return $work();
        } finally {
            $this->entered = $before;
        }
    }
}
