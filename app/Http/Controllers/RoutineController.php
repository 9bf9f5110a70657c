<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Http\Resources\ShowCard;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\RoutineCode;

/** The catalogue: every card in the words of a pack, under the practice of whoever is signed in. */
final class RoutineController extends Controller
{
    public function __invoke(Request $request, CurrentSchool $current): JsonResponse
    {
        $said = $request->validate(Taken::routines());
        $chosen = ChosenRules::of($current->school(), $this->user($request));
        $pack = isset($said['pack']) ? RulePacks::byCode($said['pack']) : $chosen->pack();
        $level = isset($said['level']) ? LearnerLevel::from($said['level']) : null;
        $practice = $chosen->practiceUnder($pack);

        return response()->json(array_map(
            fn (RoutineCode $code): array => ShowCard::whole(
                Card::of($code, $pack, $practice, $request->boolean('clutch', true), $level, WayOut::Ahead), $pack,
            ),
            Catalogue::codes($pack, $request->boolean('clutch', true)),
        ));
    }
}
