<?php

namespace App\Contract;

use App\Models\User;
use App\Rules\HardToGuess;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Password;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Skill\Level;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** What each address takes: the rules it is checked by, from which the document of the API is made too. Lessons have a room of their own, `TakenOfLessons`. */
final class Taken
{
    private const EMAIL = ['required', 'string', 'email', 'max:190'];

    private const NAME = ['required', 'string', 'max:120'];

    private const A_DAY = ['nullable', 'date', 'before_or_equal:tomorrow'];

    /** @return array<string, list<mixed>> */
    public static function signIn(): array
    {
        return ['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:200']];
    }

    /** @return array<string, list<mixed>> */
    public static function forgottenPassword(): array
    {
        return ['email' => self::EMAIL];
    }

    /** @return array<string, list<mixed>> */
    public static function wayIn(string $email = ''): array
    {
        return ['email' => self::EMAIL, 'token' => ['required', 'string', 'max:100'], 'password' => self::newPassword($email)];
    }

    /** @return array<string, list<mixed>> */
    public static function firstRun(string $email = ''): array
    {
        return [
            'school' => self::NAME, 'time_zone' => ['required', 'string', 'timezone:all'], 'pack' => ['required', self::pack()], 'name' => self::NAME,
            'email' => self::EMAIL, 'password' => self::newPassword($email),
        ];
    }

    /** @return array<string, list<mixed>> */
    public static function password(string $email = ''): array
    {
        return ['current_password' => ['required', 'string'], 'password' => self::newPassword($email)];
    }

    /** @return array<string, list<mixed>> of an address */
    public static function routines(): array
    {
        return ['pack' => ['sometimes', self::pack()], 'level' => ['sometimes', 'in:beginner,developing,independent'], 'clutch' => ['sometimes', 'boolean']];
    }

    /** @return array<string, list<mixed>> the answers are the core's to check */
    public static function chosen(bool $required = false): array
    {
        return ['pack' => [$required ? 'required' : 'nullable', self::pack()]];
    }

    /** @return array<string, list<mixed>> of an address */
    public static function day(): array
    {
        return ['day' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01']];
    }

    /** @return array<string, list<mixed>> degrees of WGS84: both, or neither */
    public static function position(string $of = ''): array
    {
        return [
            "{$of}latitude_deg" => ['sometimes', 'nullable', 'numeric', 'between:-90,90'],
            "{$of}longitude_deg" => ['sometimes', 'nullable', 'numeric', 'between:-180,180'],
        ];
    }

    /** @return array<string, list<mixed>> of an address */
    public static function near(): array
    {
        return ['latitude_deg' => ['required', 'numeric', 'between:-90,90'], 'longitude_deg' => ['required', 'numeric', 'between:-180,180']];
    }

    /** @return array<string, list<mixed>> as little as needed; a minor needs a guardian */
    public static function learner(): array
    {
        return [
            'name' => self::NAME, 'phone' => ['nullable', 'string', 'max:40'], 'email' => ['nullable', 'email', 'max:190'],
            'pick_up' => ['nullable', 'string', 'max:190'], ...self::position('pick_up_'),
            'licence_seen_on' => self::A_DAY, 'eyesight_checked_on' => self::A_DAY,
            'transmission' => ['required', 'in:manual,automatic'], 'level' => ['required', 'in:beginner,developing,independent'],
            'wants_texts' => ['sometimes', 'boolean'], 'is_minor' => ['sometimes', 'boolean'], 'guardian_name' => ['nullable', 'string', 'max:120'],
            'guardian_contact' => ['nullable', 'string', 'max:190'], 'guardian_consent_on' => self::A_DAY,
            'reference_points' => ['sometimes', 'array', 'max:20'],
            'reference_points.*.what' => ['required', 'string', 'max:120'],
            'reference_points.*.vehicle_id' => ['nullable', 'uuid'],
            'reference_points.*.where' => ['required', 'string', 'max:200'],
        ];
    }

    /** @return array<string, list<mixed>> of an address: the marks of a step, a section, a routine, a side or in some conditions */
    public static function marksBehind(): array
    {
        return [
            'step' => ['nullable', Rule::enum(Step::class)], 'section' => ['nullable', Rule::enum(Section::class)],
            'routine' => ['nullable', Rule::enum(RoutineCode::class)],
            'side' => ['nullable', Rule::enum(Side::class)],
            'condition' => ['nullable', Rule::in(array_merge(...array_values(Conditions::KINDS)))],
        ];
    }

    /** @return array<string, list<mixed>> */
    public static function overruling(): array
    {
        return [
            'routine' => ['required', Rule::enum(RoutineCode::class)], 'step' => ['required', Rule::enum(Step::class)],
            'level' => ['required', Rule::enum(Level::class)], 'reason' => ['required', 'string', 'max:300'],
        ];
    }

    /** @return array<string, list<mixed>> */
    public static function withdrawn(): array
    {
        return ['withdrawn' => ['required', 'boolean']];
    }

    /** @return array<string, list<mixed>> what stands in the road is the core's to check */
    public static function place(): array
    {
        return [
            'name' => ['required', 'string', 'max:160'], 'routine' => ['required', Rule::enum(RoutineCode::class)],
            'note' => ['nullable', 'string', 'max:500'], 'road' => ['present', 'array'],
        ];
    }

    /** @return array<string, list<mixed>> what stands in the arms is the core's to check */
    public static function site(): array
    {
        return [
            'name' => ['required', 'string', 'max:160'], 'kind' => ['required', Rule::enum(SiteKind::class)], 'pack' => ['sometimes', self::pack()],
            ...self::position(),
            'note' => ['nullable', 'string', 'max:500'], 'arms' => ['present', 'array', 'max:8'],
            'remarks' => ['sometimes', 'array', 'max:120'], 'remarks.*' => ['array:from,to,routine,note,difficulty'],
            'remarks.*.from' => ['required', 'string', 'max:20'], 'remarks.*.to' => ['required', 'string', 'max:20'],
            'remarks.*.routine' => ['required', Rule::enum(RoutineCode::class)], 'remarks.*.note' => ['nullable', 'string', 'max:300'],
            'remarks.*.difficulty' => ['nullable', 'in:easy,middling,hard'],
            // That ways which are no more may go out of the lessons to come that plan them.
            'archive' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, list<mixed>> GeoJSON; what stands in a feature is said line by line */
    public static function sitesIn(): array
    {
        return ['type' => ['required', 'in:FeatureCollection'], 'features' => ['present', 'array', 'max:500'], 'keep' => ['sometimes', 'boolean']];
    }

    /** @return array<string, list<mixed>> */
    public static function way(): array
    {
        return [
            'from' => ['required', 'string', 'max:20'], 'to' => ['required', 'string', 'max:20'], 'routine' => ['nullable', Rule::enum(RoutineCode::class)],
        ];
    }

    /** @return array<string, list<mixed>> */
    public static function sitesMerged(): array
    {
        return [
            'other' => ['required', 'uuid'], 'ways' => ['sometimes', 'array', 'max:120'], 'ways.*' => ['array:place_id,from,to'],
            'ways.*.place_id' => ['required', 'uuid'], 'ways.*.from' => ['required', 'string', 'max:20'], 'ways.*.to' => ['required', 'string', 'max:20'],
        ];
    }

    /** @return array<string, list<mixed>> a JPEG as base64, about a megabyte of it, and what is drawn on it */
    public static function picture(): array
    {
        return ['image' => ['required', 'string', 'max:1600000', 'regex:/^[A-Za-z0-9+\/]+=*$/D'], ...self::pictureChanges()];
    }

    /** @return array<string, list<mixed>> lines in shares of the picture's width and height */
    public static function pictureChanges(): array
    {
        return [
            'arm' => ['required', 'string', 'max:20'], 'note' => ['sometimes', 'nullable', 'string', 'max:300'],
            // Lists, and no objects with numbers for names.
            'lines' => ['sometimes', 'array', 'list', 'max:40'], 'lines.*' => ['array', 'list', 'max:200'], 'lines.*.*' => ['array', 'list', 'size:2'],
            'lines.*.*.*' => ['required', 'numeric', 'between:0,1'],
        ];
    }

    /** @return array<string, list<mixed>> what the tool is asked is the core's to check */
    public static function drawing(): array
    {
        return [
            'title' => self::NAME, 'page' => ['required', Rule::in(Toolbox::names())], 'state' => ['present', 'nullable', 'string', 'max:2000'],
            'lesson_id' => ['nullable', 'uuid'],
            'asked' => ['required', 'array:tool,inputs'], 'asked.tool' => ['required', Rule::in(Toolbox::names())], 'asked.inputs' => ['present', 'array'],
        ];
    }

    /**
     * @param  list<string>  $figures  which of the core's fields a school may know of its car
     * @return array<string, list<mixed>>
     */
    public static function vehicle(array $figures): array
    {
        return [
            'name' => self::NAME, 'transmission' => ['required', 'in:manual,automatic'], 'controls' => ['required', 'in:standard,hand'],
            'length_m' => ['sometimes', 'numeric', 'between:2,25'], 'width_m' => ['sometimes', 'numeric', 'between:1.2,3'],
            'figures' => ['sometimes', 'array:'.implode(',', $figures)],
        ];
    }

    /** @return array<string, list<mixed>> */
    public static function reading(): array
    {
        return ['colleagues_read' => ['required', 'boolean']];
    }

    /** @return array<string, list<mixed>> */
    public static function person(?User $known = null): array
    {
        return [
            'name' => self::NAME, 'email' => ['bail', ...self::EMAIL, Rule::unique('users', 'email')->ignore($known?->id)],
            'role' => ['required', 'in:owner,instructor'],
        ];
    }

    /** @return array<string, list<mixed>> of an address */
    public static function lessonsAhead(): array
    {
        return ['to' => ['sometimes', 'string', 'max:36']];
    }

    /** @return array<string, list<mixed>> */
    public static function handOver(): array
    {
        return ['to' => ['required', 'uuid'], 'learners' => ['sometimes', 'array', 'max:500'], 'learners.*' => ['uuid']];
    }

    /** @return array<string, list<mixed>> of an address */
    public static function changes(): array
    {
        return ['before' => ['sometimes', 'uuid']];
    }

    /** @return array<string, list<mixed>> */
    public static function retention(): array
    {
        $months = ['present', 'nullable', 'numeric', 'integer', 'between:1,240'];

        return ['keep_months' => $months, 'keep_minors_months' => $months];
    }

    /** @return array<string, list<mixed>> */
    public static function keep(): array
    {
        return [
            'until' => [
                'bail', 'present', 'nullable', 'string', 'regex:/^\d{4}-\d{2}-\d{2}$/D', 'date_format:Y-m-d', 'after:today',
                'before:'.now()->addYears(5)->toDateString(),
            ],
        ];
    }

    /** @return array<string, list<mixed>> the name is typed once more: this cannot be undone */
    public static function erasure(): array
    {
        return ['name' => self::NAME];
    }

    /** @return list<mixed> */
    private static function newPassword(string $email): array
    {
        return ['required', 'string', 'max:200', Password::defaults(), new HardToGuess($email)];
    }

    private static function pack(): string
    {
        return 'in:'.implode(',', RulePacks::codes());
    }
}
