<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests\Next;

use NobleTurn\Core\Circuit\Legs;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Next\LessonWorth;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What a lesson of some ways is worth, drawn by a seed, and the same as an integer programme. */
final class Lessons
{
    private const ROUTINES = 4;

    /** @return array{LessonWorth, list<string>, array<string, list<float>>, list<float>} with its routines, what they bring and what can be borne */
    public static function worth(int $seed, int $ways): array
    {
        $chance = new Randomizer(new Mt19937($seed + 900));
        $routines = array_map(static fn (): string => 'r'.$chance->getInt(1, self::ROUTINES), range(1, $ways));
        $brings = [];
        foreach (range(1, self::ROUTINES) as $i) {
            $most = $chance->getInt(5, 60) / 1e3;
            $brings["r{$i}"] = array_map(static fn (int $k): float => $most / ($k + 1), range(0, 5));
        }
        $bears = array_map(static fn (): float => $chance->getInt(1, 100) / 100.0, range(1, $ways));

        return [new LessonWorth($routines, $brings, $bears, array_fill(0, $ways, 0.0)), $routines, $brings, $bears];
    }

    /**
     * The best worth that a solver of integer programmes finds. Ways lie in one order of difficulty, so a drive through some of them is a path
     * from the start to the end that never turns back.
     *
     * @param  list<Stop>  $stops  none as hard as another
     */
    public static function solved(array $stops, Legs $legs, float $budget, int $seed): float
    {
        [$worth, $routines, $brings, $bears] = self::worth($seed, count($stops));
        $cost = -$worth->driving(1.0);
        $ways = array_keys($stops);
        usort($ways, static fn (int $a, int $b): int => $stops[$a]->difficulty <=> $stops[$b]->difficulty);
        $gain = $time = $into = $out = $rounds = $ranks = $bounds = $binary = $whole = [];
        $arc = static function (string $name, float $seconds) use (&$gain, &$time, &$binary, $cost): string {
            $gain[] = sprintf('- %.10f %s', $cost * $seconds, $name);
            $time[$name] = $seconds;
            $binary[] = $name;

            return $name;
        };
        $home = $arc('home', $legs->along([]));
        $starts = ["+ {$home}"];
        foreach ($ways as $i => $way) {
            $starts[] = '+ '.($into[$way][] = $arc("s{$way}", $legs->seconds(Legs::START, $way)));
            $out[$way][] = $arc("e{$way}", $legs->seconds($way, Legs::END));
            foreach (array_slice($ways, $i + 1) as $next) {
                $out[$way][] = $into[$next][] = $arc("x{$way}_{$next}", $legs->seconds($way, $next));
            }
            $once = $stops[$way]->onceSeconds() - $stops[$way]->furtherSeconds();
            $whole[] = "n{$way}";
            $time["n{$way}"] = $stops[$way]->furtherSeconds();
            foreach ($into[$way] as $arriving) {
                $time[$arriving] += $once;
            }
            foreach ($brings[$routines[$way]] as $rank => $brought) {
                $gain[] = sprintf('+ %.10f a%d_%d', $brought * $bears[$way], $way, $rank);
                $rounds[$way][] = "+ a{$way}_{$rank}";
                $ranks["{$routines[$way]} {$rank}"][] = "+ a{$way}_{$rank}";
                $bounds[] = "0 <= a{$way}_{$rank} <= 1";
            }
        }
        $lines = ['Maximize', implode("\n ", $gain), 'Subject To', implode(' ', $starts).' = 1'];
        foreach ($ways as $way) {
            $visited = implode(' ', array_map(static fn (string $arc): string => "+ {$arc}", $into[$way]));
            $lines[] = "{$visited} ".implode(' ', array_map(static fn (string $arc): string => "- {$arc}", $out[$way])).' = 0';
            $lines[] = "n{$way} ".implode(' ', array_map(static fn (string $arc): string => "- {$arc}", $into[$way])).' >= 0';
            $lines[] = "n{$way} ".implode(' ', array_map(static fn (string $arc): string => "- {$stops[$way]->rounds} {$arc}", $into[$way])).' <= 0';
            $lines[] = implode(' ', $rounds[$way])." - n{$way} <= 0";
        }
        foreach ($ranks as $each) {
            $lines[] = implode(' ', $each).' <= 1';
        }
        $lines[] = implode("\n ", array_map(static fn (string $name, float|int $each): string => sprintf('%+.6f %s', $each, $name), array_keys($time), $time))
            .sprintf(' <= %.6f', $budget);
        array_push($lines, 'Bounds', ...$bounds, ...['General', implode(' ', $whole), 'Binary', implode("\n ", $binary), 'End']);

        return self::cbc(implode("\n", $lines));
    }

    private static function cbc(string $programme): float
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'lesson');
        file_put_contents("{$file}.lp", $programme);
        $said = (string) shell_exec('cbc '.escapeshellarg("{$file}.lp").' ratioGap 0 solve 2>&1');
        unlink($file);
        unlink("{$file}.lp");

        return preg_match('/Objective value:\s+(-?[0-9.e+-]+)/', $said, $found) === 1 ? abs((float) $found[1]) : throw new \RuntimeException($said);
    }
}
