<?php

namespace App\Http\Resources;

use App\Models\Drawing;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Picture;
use App\Models\Place;
use App\Models\PlannedItem;
use App\Models\Promise;
use App\Models\Remedy;
use App\Models\Round;
use App\Models\School;
use App\Models\Site;
use App\Models\User;
use App\Models\Vehicle;
use App\School\ChosenRules;
use App\School\RoutineLines;
use NobleTurn\Core\Record\Decision;
use NobleTurn\Core\Record\PressTime;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Routine\Watched;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Skill\RemedyEffect;
use NobleTurn\Core\Trade\Effect;

/** The rows of the database as the interface reads them; nothing goes out that is not named here. */
final class Show
{
    /** To the millisecond: presses follow each other closely. */
    private const MOMENT = 'Y-m-d\TH:i:s.v\Z';

    /** @return array<string, mixed> */
    public static function me(User $user, School $school): array
    {
        return [
            'user' => ['id' => $user->id, 'name' => $user->name, 'email' => $user->email, 'role' => $user->role],
            'school' => [...$school->only(['id', 'name', 'time_zone', 'colleagues_read', 'latitude_deg', 'longitude_deg'])],
            'rules' => self::rules(ChosenRules::of($school, $user)),
        ];
    }

    /** @return array<string, mixed> the pack and practice in force, with what every screen says in the pack's words */
    public static function rules(ChosenRules $chosen): array
    {
        $pack = $chosen->pack();

        return [
            'pack' => $pack->code(), 'pack_name' => $pack->name(), 'keeps' => $pack->keeps()->value, 'speed_unit' => $pack->speedUnit()->value,
            'length_unit' => $pack->lengthUnit()->value,
            'limits' => $pack->usualLimits(), 'town_limit' => $pack->speedUnit()->number($pack->townLimit()),
            'device_rule' => ['text' => $pack->deviceRule(), 'source' => $pack->deviceRuleSource()->words()],
            'words' => (object) $pack->words(),
            'practice' => (object) $chosen->answers,
            'faults' => array_map(
                static fn (array $of): array => array_map(static fn (string $text): string => Wording::in($pack, $text), $of), Faults::words(),
            ),
            'effects' => array_column(array_map(static fn (Effect $effect): array => [$effect->value, $effect->short()], Effect::cases()), 1, 0),
            'watched' => [
                'order' => array_map(static fn (Watched $one): array => ['key' => $one->value, 'words' => $one->words()], Watched::cases()),
                'of' => Watched::all(),
            ],
            'decisions' => array_column(
                array_map(static fn (Decision $one): array => [$one->value, $one->words()], Decision::cases()), 1, 0,
            ),
            'routines' => RoutineLines::of($chosen), 'elsewhere' => RoutineLines::elsewhere($chosen),
        ];
    }

    /** @return array<string, string> a rule pack in the line of a list */
    public static function pack(RulePack $pack): array
    {
        return [
            'code' => $pack->code(), 'name' => $pack->name(), 'keeps' => $pack->keeps()->value, 'speed_unit' => $pack->speedUnit()->value,
            'length_unit' => $pack->lengthUnit()->value,
        ];
    }

    /** @return array<string, mixed> */
    public static function learner(Learner $learner): array
    {
        return [
            ...$learner->only([
                'id', 'name', 'phone', 'email', 'pick_up', 'pick_up_latitude_deg', 'pick_up_longitude_deg', 'transmission', 'level',
                'is_minor', 'guardian_name', 'guardian_contact', 'reference_points', 'pack', 'wants_texts',
            ]),
            'practice' => (object) $learner->practice,
            'licence_seen_on' => $learner->licence_seen_on?->toDateString(),
            'eyesight_checked_on' => $learner->eyesight_checked_on?->toDateString(),
            'guardian_consent_on' => $learner->guardian_consent_on?->toDateString(),
        ];
    }

    /** @return array<string, mixed> */
    public static function vehicle(Vehicle $vehicle): array
    {
        return [...$vehicle->only(['id', 'name', 'transmission', 'controls', 'length_m', 'width_m']), 'figures' => (object) $vehicle->figures];
    }

    /** @return array<string, mixed> */
    public static function site(Site $site): array
    {
        return [
            ...$site->only(['id', 'name', 'kind', 'pack', 'latitude_deg', 'longitude_deg', 'note', 'arms', 'remarks']),
            'used' => $site->places()->get()->map(static fn (Place $place): array => [
                'from' => $place->from_arm, 'to' => $place->to_arm, 'place_id' => $place->id, 'routine' => $place->routine,
            ]),
        ];
    }

    /** @return array<string, mixed> as it stands in a list; places must be counted */
    public static function siteLine(Site $site): array
    {
        return [
            ...$site->only(['id', 'name', 'kind', 'pack', 'latitude_deg', 'longitude_deg', 'note']), 'used' => $site->getAttribute('places_count'),
            'arms' => array_map(static fn (array $arm): array => array_intersect_key($arm, ['id' => 0, 'name' => 0, 'bearing_deg' => 0]), $site->arms),
            // What an instructor says of a way counts before what is there.
            'ways' => array_map(static fn (array $way): array => [
                ...$way, 'score' => Site::howHard($way),
            ], $site->ways),
        ];
    }

    /** @return array<string, mixed> */
    public static function place(Place $place): array
    {
        return [...$place->only(['id', 'name', 'routine', 'note', 'site_id', 'from_arm', 'to_arm']), 'road' => $place->road];
    }

    /** @return array<string, mixed> without the picture itself */
    public static function picture(Picture $picture): array
    {
        return $picture->only(['id', 'site_id', 'arm', 'note', 'width', 'height', 'lines']);
    }

    /** @return array<string, mixed> */
    public static function drawing(Drawing $drawing): array
    {
        return $drawing->only(['id', 'place_id', 'lesson_id', 'title', 'page', 'state', 'asked']);
    }

    /** @return array<string, mixed> */
    public static function promise(Promise $promise): array
    {
        return [...$promise->only(['id', 'lesson_id', 'kind', 'text', 'routine', 'step']), 'kept_at' => $promise->kept_at?->toIso8601ZuluString()];
    }

    /** @return array<string, mixed> */
    public static function item(PlannedItem $item): array
    {
        return [...$item->only(['id', 'ordinal', 'minutes']), 'routine' => $item->place->routine, 'place' => self::place($item->place)];
    }

    /** @return array<string, mixed> a line on Today; learner and vehicle must be loaded */
    public static function lessonLine(Lesson $lesson): array
    {
        return [
            ...$lesson->only(['id', 'minutes', 'aim', 'state', 'instructor_id']),
            'starts_at' => $lesson->starts_at->toIso8601ZuluString(),
            'lasts_minutes' => $lesson->lasts(),
            'pick_up' => $lesson->pick_up ?? $lesson->learner->pick_up,
            'learner' => $lesson->learner->only(['id', 'name', 'pick_up', 'level']),
            'vehicle' => self::vehicle($lesson->vehicle),
        ];
    }

    /** @return array{learners: int, change: ?float, low: ?float, high: ?float, message: string} */
    public static function remedyEffect(RemedyEffect $effect): array
    {
        $rounded = static fn (?float $share): ?float => $share === null ? null : round($share, 3);

        return [
            'learners' => $effect->learners, 'change' => $rounded($effect->change), 'low' => $rounded($effect->low), 'high' => $rounded($effect->high),
            'message' => $effect->message(),
        ];
    }

    /** @return array<string, mixed> */
    public static function remedy(Remedy $remedy): array
    {
        return $remedy->only(['id', 'lesson_id', 'routine', 'step', 'fault', 'what']);
    }

    /** @return array<string, mixed> place and marks must be loaded */
    public static function round(Round $round): array
    {
        return [
            ...$round->only(['id', 'lesson_id', 'place_id', 'elsewhere', 'moment_id', 'routine', 'side', 'assessment_id']),
            'place' => $round->where(),
            'conditions' => (object) $round->conditions,
            'device_at' => $round->device_at->format(self::MOMENT),
            'began_at' => $round->began_at->format(self::MOMENT),
            'clock_ahead' => self::isClockAhead($round),
            'marks' => $round->marks->map(self::mark(...))->values()->all(),
        ];
    }

    /** Whether the device's clock was so far ahead that its times are not to be believed. */
    public static function isClockAhead(Mark|Round $row): bool
    {
        return PressTime::isFarAhead($row->device_at->toDateTimeImmutable(), $row->server_at->toDateTimeImmutable());
    }

    /** @return array<string, mixed> */
    public static function mark(Mark $mark): array
    {
        return [
            ...$mark->only([
                'id', 'round_id', 'kind', 'step', 'stage', 'outcome', 'taught', 'decision', 'what', 'number', 'seconds', 'conditions', 'out_of_order',
                'fault', 'effect', 'place_id', 'note', 'corrects_id', 'withdrawn', 'user_id',
            ]),
            'device_at' => $mark->device_at->format(self::MOMENT),
            'pressed_at' => $mark->pressed_at->format(self::MOMENT),
            'server_at' => $mark->server_at->format(self::MOMENT),
            'clock_ahead' => self::isClockAhead($mark),
        ];
    }
}
