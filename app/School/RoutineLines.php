<?php

namespace App\School;

use App\Http\Resources\ShowCard;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;

/** What every screen knows of the routines under the rules in force. Writing the cards takes longer than most pages. */
final class RoutineLines
{
    /** @return list<mixed> ready to be said as JSON */
    public static function of(ChosenRules $chosen): array
    {
        $pack = $chosen->pack();
        $practice = $chosen->practice();

        return ServersMemory::of('routine lines', $chosen, static fn (): array => array_map(
            static fn (RoutineCode $code): array => ShowCard::line(Card::of($code, $pack, $practice), $pack), Catalogue::codes($pack),
        ));
    }

    /** @return list<mixed> what is taught under other packs only, each in the words of the first that has it: records and places may name it */
    public static function elsewhere(ChosenRules $chosen): array
    {
        $here = Catalogue::codes($chosen->pack());

        return ServersMemory::of('routines elsewhere', $chosen, static function () use ($here): array {
            $lines = [];
            foreach (RulePacks::all() as $pack) {
                foreach (Catalogue::codes($pack) as $code) {
                    if (! in_array($code, $here, true)) {
                        $title = Wording::in($pack, Catalogue::routine($code, $pack)->title);
                        $lines[$code->value] ??= ['code' => $code->value, 'title' => $title, 'pack_name' => $pack->name()];
                    }
                }
            }

            return array_values($lines);
        });
    }
}
