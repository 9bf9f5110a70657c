<?php

namespace App\Http\Controllers;

use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Instruction;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Rules\RulePacks;

/** The catalogue in the words of the school's pack. */
final class RoutineController extends Controller
{
    public function __invoke(CurrentSchool $current): JsonResponse
    {
        $pack = RulePacks::byCode($current->school()->pack);

        return response()->json(array_map(static fn (Routine $routine): array => [
            'code' => $routine->code->value,
            'title' => $routine->title,
            'where' => $routine->where,
            'afterwards' => strtr($routine->afterwards, ['{near}' => $pack->keeps()->value, '{off}' => $pack->keeps()->other()->value]),
            'steps' => array_map(static function (Instruction $instruction) use ($routine, $pack): array {
                $spoken = $instruction->spoken($routine->code, $pack, hasClutch: true);

                return [
                    'step' => $spoken->step->value, 'do' => $spoken->do, 'why' => $spoken->why, 'usual_mistake' => $spoken->usualMistake,
                    'cause_step' => $spoken->causeStep()->value, 'likely_cause' => $spoken->likelyCause, 'remedy' => $spoken->remedy,
                    'drill' => $spoken->drill, 'source' => $spoken->source()->words(),
                ];
            }, $routine->instructions),
        ], Catalogue::all($pack)));
    }
}
