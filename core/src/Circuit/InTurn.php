<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** The ways one after the other as they were given: each as often as there still is time for, with the way to the end. */
final class InTurn
{
    /**
     * @param  list<int>  $ways
     * @param  list<Stop>  $stops
     * @param  float  $budget  for the driving and the ways, s
     */
    public static function choose(array $ways, array $stops, Legs $legs, float $budget): Choice
    {
        $rounds = [];
        foreach ($ways as $way) {
            $left = $budget - $legs->along([...array_keys($rounds), $way]) - Choice::secondsAt($rounds, $stops) - $stops[$way]->onceSeconds();
            if ($left >= -1e-6) {
                $further = $stops[$way]->furtherSeconds();
                $rounds[$way] = $further === 0 ? $stops[$way]->rounds : min($stops[$way]->rounds, 1 + (int) floor($left / $further + 1e-9));
            }
        }

        return Choice::of(Order::AsGiven, $rounds, $stops, $legs->along(array_keys($rounds)));
    }
}
