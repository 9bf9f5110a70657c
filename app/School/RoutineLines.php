<?php

namespace App\School;

use App\Http\Resources\ShowCard;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
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
}
