<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

use NobleTurn\Core\Diary\Light;
use NobleTurn\Core\Diary\Sun;

/** One lesson, or one drive with somebody else, and what its minutes were driven in. Each kind adds up to the whole. */
final readonly class TimeAtWheel
{
    private const A_MINUTE = 60;

    /**
     * @param  int  $from  moment of the epoch, s
     * @param  array<string, array<string, float>>  $minutesOf  by kind and condition
     * @param  float  $bySun  minutes whose light nobody noted, and that are counted by where the sun stood
     */
    private function __construct(
        public string $id, public Company $with, public int $from, public float $minutes, public array $minutesOf, public float $bySun,
    ) {
    }

    /**
     * Its minutes spread evenly over its rounds. The light that nobody noted is what the sun gave over the whole of it, minute by minute;
     * weather and road that nobody noted stay so.
     *
     * @param  int  $from  moment of the epoch, s
     * @param  float  $minutes  more than 0
     * @param  list<Conditions>  $rounds  as noted
     * @param  ?Sun  $sun  over where it was; null where nobody knows
     *
     * @throws \InvalidArgumentException where it lasted no time
     */
    public static function of(string $id, Company $with, int $from, float $minutes, array $rounds, ?Sun $sun): self
    {
        if ($minutes <= 0.0) {
            throw new \InvalidArgumentException('Time at the wheel is more than none.');
        }
        $of = Hours::of([['minutes' => $minutes, 'rounds' => $rounds]])->minutes;
        $bySun = 0.0;
        if ($sun !== null) {
            $bySun = $of['light'][Hours::NOT_NOTED];
            $of['light'][Hours::NOT_NOTED] = 0.0;
            foreach (self::light($sun, $from, $minutes) as $light => $lasted) {
                $of['light'][$light] += $bySun * $lasted / $minutes;
            }
        }

        return new self($id, $with, $from, $minutes, $of, $bySun);
    }

    /** Minutes driven in some light; all of them where none is said. */
    public function in(?string $light): float
    {
        return $light === null ? $this->minutes : $this->minutesOf['light'][$light];
    }

    /** @return array<string, float> minutes of the time in each light */
    private static function light(Sun $sun, int $from, float $minutes): array
    {
        $lasted = array_fill_keys(array_column(Light::cases(), 'value'), 0.0);
        for ($minute = 0.0; $minute < $minutes; $minute++) {
            $lasts = min(1.0, $minutes - $minute);
            $lasted[$sun->light($from + self::A_MINUTE * ($minute + $lasts / 2.0))->value] += $lasts;
        }

        return $lasted;
    }
}
