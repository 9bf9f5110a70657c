<?php

namespace Database\Seeders;

use App\Models\AccompaniedDrive;
use App\Models\Learner;

/** What some learners of the demo drove with somebody other than an instructor, on Sunday evenings. */
final class DemoAccompanied
{
    private const ZONE = 'Europe/London';

    /** By learner: minutes of each drive, the latest first, with whom, and what was said of it. */
    private const DRIVEN = [
        'Orla Penhale' => [[50, 'With her aunt, to the shops and back', ['road' => 'town', 'traffic' => 'busy']], [35, null, ['surface' => 'wet']]],
        'Remy Castellan' => [
            [95, 'With his mother, along the shore road', ['road' => 'rural', 'surface' => 'dry']], [70, null, ['surface' => 'wet']],
            [120, 'With his mother, to the airport', ['road' => 'motorway', 'surface' => 'dry']], [45, null, []],
        ],
        'Tobias Wren-Castellane' => [[40, 'With Ines, round the estate', ['road' => 'residential', 'traffic' => 'quiet']]],
    ];

    public static function fill(): void
    {
        $evening = now(self::ZONE)->startOfWeek()->subDay()->setTime(19, 30);
        foreach (self::DRIVEN as $name => $drives) {
            $learner = Learner::query()->where('name', $name)->firstOrFail();
            foreach ($drives as $i => [$minutes, $note, $conditions]) {
                AccompaniedDrive::query()->create([
                    'learner_id' => $learner->id, 'starts_at' => $evening->copy()->subWeeks($i)->utc(), 'minutes' => $minutes, 'note' => $note,
                    'conditions' => $conditions,
                ]);
            }
        }
    }
}
