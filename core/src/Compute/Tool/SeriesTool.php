<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Plan\Between;
use NobleTurn\Core\Plan\Chained;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Series\Breaths;

/** Any number of things in a row: lines, slip roads on, slip roads off. */
final class SeriesTool implements Tool
{
    /** Of one part, steps (measured): the speed at which it fits is looked for. */
    private const OF_A_PART = 1000.0;

    private const OF_A_VEHICLE = 150.0;

    public function name(): string
    {
        return 'series';
    }

    public function about(): string
    {
        return 'Plans several approaches, slip roads on and slip roads off in a row, each with what the one before leaves it: the speed between them, what has '
            .'to be said together and by where, and who waits for whom. Each plan’s places are metres to its own line, end of lane or slip road.';
    }

    public function input(): Shape
    {
        return new Shape(CommonFields::packField(), SeriesReader::field()->required(), VehicleField::field(), PracticeField::field());
    }

    public function output(): array
    {
        return SeriesPresenter::schema();
    }

    public function effort(Values $input): float
    {
        $effort = Effort::QUICK;
        foreach ($input->objects('parts') as $part) {
            $effort += self::OF_A_PART + self::OF_A_VEHICLE * count($part->objects('vehicles'));
        }

        return $effort;
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $row = SeriesReader::read($input);

        return new Answer($pack->code(), $pack->version(), SeriesPresenter::body($row, PracticeField::read($input, $pack)), [
            new Assumption('gathering speed between two of them', Chained::GATHERS, 'm/s2', Source::assumed()),
            new Assumption('said at once at most', (float) Breaths::MOST, 'parts', Source::commonPractice()),
            ...CommonFields::defaults($input, CommonFields::default('vehicle', VehicleField::named(VehicleField::read($input), $pack))),
        ], self::warnings($row));
    }

    /**
     * @param  list<SeriesPart>  $row
     * @return list<Warning>
     */
    private static function warnings(array $row): array
    {
        $found = [];
        foreach ($row as $i => $part) {
            if ($part->between === Between::BothInOne) {
                $found[] = new Warning('no-room', sprintf('%d to %d: %s', $i, $i + 1, $part->message), ['part' => $i]);
            }
        }

        return $found;
    }
}
