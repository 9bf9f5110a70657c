<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Circuit\BusyHours;
use NobleTurn\Core\Diary\Light;
use NobleTurn\Core\Diary\Sun;
use NobleTurn\Core\Site\Position;
use NobleTurn\Core\Skill\Evidence;

/** A condition in which a learner has hardly driven, and whether the hour of a lesson offers it. */
final readonly class Lacking
{
    /** In fewer rounds than this it is lacking (assumed). */
    public const ROUNDS = 5;

    /** Somebody with fewer rounds than this has other things to do first (assumed). */
    private const BEGINNERS = 40;

    /** Traffic of so much of a busy hour is busy (assumed). */
    private const BUSY = 1.0 + 0.6 * (BusyHours::MOST - 1.0);

    private function __construct(public string $condition, public bool $isPossible, public string $message)
    {
    }

    /**
     * @param  list<Evidence>  $evidence
     * @param  \DateTimeImmutable  $from  by the clock on the wall there
     * @param  ?Position  $where  null where nobody says: then nobody knows when it is dark
     * @return list<self> in the order in which they are looked for
     */
    public static function of(array $evidence, \DateTimeImmutable $from, int $seconds, ?Position $where): array
    {
        $rounds = [];
        foreach ($evidence as $one) {
            $round = "{$one->lesson} {$one->routine->value} {$one->at->format('Uu')}";
            $rounds['all'][$round] = true;
            foreach (['busy' => $one->conditions->traffic, 'night' => $one->conditions->light, 'wet' => $one->conditions->surface] as $condition => $noted) {
                if ($noted === $condition) {
                    $rounds[$condition][$round] = true;
                }
            }
        }
        if (count($rounds['all'] ?? []) < self::BEGINNERS) {
            return [];
        }
        $found = [];
        foreach (['busy', 'night', 'wet'] as $condition) {
            $have = count($rounds[$condition] ?? []);
            if ($have < self::ROUNDS) {
                $found[] = self::one($condition, $have, $from, $seconds, $where);
            }
        }

        return $found;
    }

    private static function one(string $condition, int $have, \DateTimeImmutable $from, int $seconds, ?Position $where): self
    {
        $so = match (true) {
            $have === 0 => 'Never driven ',
            $have === 1 => 'Only one round ',
            default => "Only {$have} rounds ",
        }.['busy' => 'in busy traffic', 'night' => 'at night', 'wet' => 'on a wet road'][$condition];
        $quarters = array_map(static fn (int $i): \DateTimeImmutable => $from->modify("+{$i} seconds"), range(0, $seconds, min(900, max(1, $seconds))));

        return match ($condition) {
            'busy' => array_filter($quarters, static fn (\DateTimeImmutable $at): bool => BusyHours::factor($at) >= self::BUSY) !== []
                ? new self($condition, true, "{$so}: this lesson falls into a busy hour.")
                : new self($condition, false, "{$so}: a lesson early in the morning or late in the afternoon of a working day would do."),
            'night' => $where !== null
                && array_filter($quarters, static fn (\DateTimeImmutable $at): bool => (new Sun($where))->light($at->getTimestamp()) === Light::Night) !== []
                ? new self($condition, true, "{$so}: it is dark in this lesson.")
                : new self($condition, false, "{$so}: a lesson after dark would do."),
            default => new self($condition, false, "{$so}: rain cannot be booked; take it when it comes."),
        };
    }
}
