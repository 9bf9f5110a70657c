<?php

namespace App\School;

use App\Models\Centre;
use App\Models\Change;
use App\Models\Circuit;
use App\Models\Learner;
use App\Models\Place;
use App\Models\School;
use App\Models\Site;
use App\Models\User;
use App\Models\Vehicle;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Auth;

/** Keeps who of the school changed what and when, of what a school lives on: people, learners, places, cars and its own rules. */
final class ChangeLog
{
    private const KINDS = [Learner::class => 'learner', Place::class => 'place', Site::class => 'site', Vehicle::class => 'car', User::class => 'person',
        School::class => 'school', Circuit::class => 'circuit', Centre::class => 'centre'];

    /** What changes by itself, or is said in words of its own. */
    private const UNSAID = ['created_at', 'updated_at', 'deleted_at', 'erased_at', 'marks_read_at', 'marks_came_at', 'remember_token', 'joined_at',
        'suspended_at'];

    /** Watches what is kept, whichever way it is changed. */
    public static function watch(): void
    {
        foreach (array_keys(self::KINDS) as $class) {
            $class::created(static fn (Model $row) => self::note('added', $row));
            $class::updated(static function (Model $row): void {
                $fields = array_values(array_diff(array_keys($row->getChanges()), self::UNSAID));
                if ($fields !== []) {
                    self::note('changed', $row, ['fields' => $fields]);
                }
            });
            $class::deleted(static fn (Model $row) => self::note('archived', $row));
        }
        foreach ([Learner::class, Place::class, Site::class, Vehicle::class, Circuit::class, Centre::class] as $class) {
            $class::restored(static fn (Model $row) => self::note('restored', $row));
        }
    }

    /**
     * Notes a change by whoever is signed in; what the installation does by itself has nobody and is not kept here.
     *
     * @param  array<string, mixed>  $details
     */
    public static function note(string $what, Model $row, array $details = []): void
    {
        $user = Auth::user();
        // Somebody else's school, such as one that is being set up, keeps nothing of theirs.
        if (! $user instanceof User || app(CurrentSchool::class)->id() !== $user->school_id) {
            return;
        }
        Change::query()->create([
            'user_id' => $user->id, 'at' => now(), 'what' => $what, 'kind' => self::KINDS[$row::class],
            'subject_id' => $row->getKey(), 'name' => (string) $row->getAttribute('name'), 'details' => $details,
        ]);
    }
}
