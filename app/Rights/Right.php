<?php

namespace App\Rights;

use App\Models\User;

/**
 * What can be done, and who may do it: the one table of it. Each address of the API names one of these; one that names none is open to
 * nobody. What of it somebody may do to which row is said by the policies, and that nobody reaches another school by the rows' scopes.
 */
enum Right: string
{
    case BeOneself = 'be-oneself';
    case Calculate = 'calculate';
    case ReadRules = 'read-rules';
    case ChooseOwnPractice = 'choose-own-practice';
    case ReadLearners = 'read-learners';
    case WriteLearners = 'write-learners';
    case HandOutData = 'hand-out-data';
    case ReadLessons = 'read-lessons';
    case WriteLessons = 'write-lessons';
    case Mark = 'mark';
    case Overrule = 'overrule';
    case ReadPlaces = 'read-places';
    case WritePlaces = 'write-places';
    case ReadCars = 'read-cars';
    case WriteCars = 'write-cars';
    case ReadSchool = 'read-school';
    case RunSchool = 'run-school';

    private const EVERYBODY = [Role::Owner, Role::Instructor, Role::Learner, Role::Accompanying];

    private const TEACHERS = [Role::Owner, Role::Instructor];

    private const OWNERS = [Role::Owner];

    private const MAY = [
        // The own session, password and devices.
        'be-oneself' => self::EVERYBODY,
        // Plans, gaps, gears and the rest of the bench.
        'calculate' => self::EVERYBODY,
        'read-rules' => self::EVERYBODY,
        'choose-own-practice' => self::TEACHERS,
        // The learners of the school, with what their marks say.
        'read-learners' => self::TEACHERS,
        'write-learners' => self::TEACHERS,
        'hand-out-data' => self::TEACHERS,
        // Lessons with their plans, agreements and debriefs; which of them, says LessonPolicy.
        'read-lessons' => self::TEACHERS,
        'write-lessons' => self::TEACHERS,
        'mark' => self::TEACHERS,
        'overrule' => self::TEACHERS,
        'read-places' => self::TEACHERS,
        'write-places' => self::TEACHERS,
        'read-cars' => self::TEACHERS,
        'write-cars' => self::TEACHERS,
        // What the marks of all learners say of the school.
        'read-school' => self::TEACHERS,
        // Its people, letters, rules and changes, how long learners are kept, and erasing them.
        'run-school' => self::OWNERS,
    ];

    /** @return list<Role> */
    public function roles(): array
    {
        return self::MAY[$this->value];
    }

    public function isOf(User $user): bool
    {
        return in_array(Role::tryFrom($user->role), $this->roles(), true);
    }
}
