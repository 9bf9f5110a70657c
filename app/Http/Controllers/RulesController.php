<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Models\Learner;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Figure;
use NobleTurn\Core\Rules\Option;
use NobleTurn\Core\Rules\Practices;
use NobleTurn\Core\Rules\Question;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;

/** Which rules and which practice: what can be chosen, and what the school, an instructor and a learner have chosen. */
final class RulesController extends Controller
{
    public function __construct(private readonly CurrentSchool $current)
    {
    }

    public function index(Request $request): JsonResponse
    {
        $school = $this->current->school();
        $user = $this->user($request);
        $pack = ChosenRules::of($school, $user)->pack();

        return response()->json([
            'packs' => array_map(self::pack(...), RulePacks::all()),
            'questions' => array_map(fn (Question $question): array => self::question($question, $pack), Practices::under($pack)),
            'school' => ['pack' => $school->pack, 'practice' => (object) $school->practice],
            'mine' => ['pack' => $user->pack, 'practice' => (object) $user->practice],
        ]);
    }

    public function school(Request $request): JsonResponse
    {
        $said = $this->said($request, required: true);
        $this->current->school()->update(['pack' => $said['pack'] ?? $this->current->school()->pack, 'practice' => $said['practice']]);

        return $this->index($request);
    }

    public function mine(Request $request): JsonResponse
    {
        $this->user($request)->forceFill($this->said($request))->save();

        return $this->index($request);
    }

    public function learner(Request $request, Learner $learner): JsonResponse
    {
        $learner->update($this->said($request));

        return response()->json(['pack' => $learner->pack, 'practice' => (object) $learner->practice]);
    }

    /** @return array{pack: ?string, practice: array<string, mixed>} */
    private function said(Request $request, bool $required = false): array
    {
        /** @var array{pack?: ?string} $said */
        $said = $request->validate(Taken::chosen($required));

        return ['pack' => $said['pack'] ?? null, 'practice' => ChosenRules::checked($request->json()->all()['practice'] ?? [])];
    }

    /** @return array<string, mixed> */
    private static function pack(RulePack $pack): array
    {
        return [
            'code' => $pack->code(), 'name' => $pack->name(), 'keeps' => $pack->keeps()->value, 'version' => $pack->version(),
            'figures' => array_map(
                static fn (Figure $figure): array => [
                    'key' => $figure->key, 'name' => $figure->name, 'value' => $figure->value, 'status' => $figure->source->words(),
                ],
                $pack->figures(),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function question(Question $question, RulePack $pack): array
    {
        $shows = $question->routines[0] ?? RoutineCode::EmergeRight;
        $wording = new Wording($pack, $shows->namedSide());

        return [
            'key' => $question->key, 'text' => $wording->say($question->text), 'step' => $question->step->value, 'changes' => $question->changes,
            'default' => ChosenRules::unlessTaught($pack)[$question->key] ?? $question->default($pack),
            // A routine on whose plan or card the choice is seen.
            'shows_on' => $shows->value,
            'routines' => array_column($question->routines, 'value'),
            'needs_clutch' => $question->needsClutch,
            'options' => array_map(
                static fn (Option $option): array => [
                    'value' => $option->value, 'words' => $wording->say($option->words), 'reason' => $wording->say($option->reason),
                    'says' => $wording->say($option->says),
                ],
                $question->options,
            ),
        ];
    }
}
