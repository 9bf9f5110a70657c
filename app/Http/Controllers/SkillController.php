<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Marks\LearnerHabits;
use App\Marks\LearnerSkill;
use App\Marks\MarksBehind;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Overruling;
use App\School\SchoolForetelling;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** What the marks mean: today, behind one step of one routine, and by one lesson; and what an instructor says against them. */
final class SkillController extends Controller
{
    public function __construct(private readonly LearnerSkill $skill)
    {
    }

    public function show(Learner $learner): JsonResponse
    {
        LearnerSkill::isRead($learner);

        return response()->json(array_diff_key($this->skill->of($learner, now()->toDateTimeImmutable()), ['counts' => 0]));
    }

    /** How well the latest lessons were foretold. */
    public function foretelling(Learner $learner): JsonResponse
    {
        LearnerSkill::isRead($learner);
        $calibration = $this->skill->calibration($learner);

        return response()->json(['latest' => $calibration === null ? null : SchoolForetelling::calibration($calibration)]);
    }

    /** What the key counted. */
    public function habits(Learner $learner, LearnerHabits $habits): JsonResponse
    {
        LearnerSkill::isRead($learner);

        return response()->json($habits->of($learner));
    }

    public function cell(Learner $learner, RoutineCode $routine, Step $step): JsonResponse
    {
        LearnerSkill::isRead($learner);

        return response()->json([
            'history' => $this->skill->history($learner, $routine, $step),
            'marks' => MarksBehind::of($learner, [$routine], $step),
            'overrulings' => Overruling::query()->where('learner_id', $learner->id)->where('routine', $routine->value)->where('step', $step->value)
                ->with('user')->latest()->orderByDesc('id')->get()->map(fn (Overruling $said): array => self::said($said)),
        ]);
    }

    /** The marks that say what holds a learner back: of a step, a section, a routine or in some conditions. */
    public function marks(Request $request, Learner $learner): JsonResponse
    {
        $said = $request->validate(Taken::marksBehind());
        LearnerSkill::isRead($learner);
        $routines = isset($said['routine']) ? [RoutineCode::from($said['routine'])] : null;
        if (isset($said['section'])) {
            $inIt = array_filter(
                Catalogue::all($this->skill->pack($learner)), static fn (Routine $routine): bool => $routine->section->value === $said['section'],
            );
            $routines = array_values(array_map(static fn (Routine $routine): RoutineCode => $routine->code, $inIt));
        }

        if (isset($said['side'])) {
            $side = Side::from($said['side']);
            $routines = array_values(array_filter(RoutineCode::cases(), static fn (RoutineCode $code): bool => $code->turnsTo() === $side));
        }

        return response()->json(MarksBehind::of($learner, $routines, isset($said['step']) ? Step::from($said['step']) : null, $said['condition'] ?? null));
    }

    public function changed(Lesson $lesson): JsonResponse
    {
        Gate::authorize('view', $lesson);

        LearnerSkill::isRead($lesson->learner);

        return response()->json($this->skill->changed($lesson));
    }

    public function overrule(Request $request, Learner $learner): JsonResponse
    {
        $said = $request->validate(Taken::overruling(), ['reason.required' => 'Say why: both your word and the marks stay on record.']);
        $pack = $this->skill->pack($learner);
        $code = RoutineCode::from($said['routine']);
        abort_unless(
            in_array($code, Catalogue::codes($pack), true) && Catalogue::routine($code, $pack)->has(Step::from($said['step'])), 422,
            'The routine has no such step under the rules this learner learns by.',
        );
        $row = Overruling::query()->create([...$said, 'learner_id' => $learner->id, 'user_id' => $this->user($request)->id]);

        return response()->json(self::said($row->load('user')), 201);
    }

    /** Taken back, or back in force: never erased. */
    public function withdraw(Request $request, Overruling $overruling): JsonResponse
    {
        Gate::authorize('update', $overruling);
        $said = $request->validate(Taken::withdrawn());
        $overruling->update(['withdrawn_at' => $said['withdrawn'] ? now() : null]);

        return response()->json(self::said($overruling->load('user')));
    }

    /** @return array<string, mixed> */
    private static function said(Overruling $said): array
    {
        return [
            ...$said->only(['id', 'routine', 'step', 'level', 'reason', 'user_id']),
            'by' => $said->user->name,
            'at' => $said->created_at->format('Y-m-d\TH:i:s\Z'),
            'withdrawn_at' => $said->withdrawn_at?->format('Y-m-d\TH:i:s\Z'),
        ];
    }
}
